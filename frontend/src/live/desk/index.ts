export { default as DeskPage } from './DeskPage.vue'
