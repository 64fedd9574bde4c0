export { default as GivePage } from './GivePage.vue'
export { default as WorkListPage } from './WorkListPage.vue'
export { default as WorkPage } from './WorkPage.vue'
