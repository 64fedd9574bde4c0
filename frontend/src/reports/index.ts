export { default as SessionPage } from './SessionPage.vue'
export { default as SessionsPage } from './SessionsPage.vue'
