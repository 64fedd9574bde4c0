export { default as ScreenApp } from './ScreenApp.vue'
