export { default as RunDialog } from './RunDialog.vue'
