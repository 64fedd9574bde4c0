export { default as ScreenApp } from './ScreenApp.vue'
export { screenLanguage } from './bigScreen'
