export { followLanguage } from './ownLanguage'
export { default as StudentApp } from './StudentApp.vue'
