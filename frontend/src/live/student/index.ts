export { followLook } from './look'
export { followLanguage } from './ownLanguage'
export { default as StudentApp } from './StudentApp.vue'
