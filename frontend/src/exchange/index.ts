export { default as ExportDialog } from './ExportDialog.vue'
export { default as GridDialog } from './GridDialog.vue'
export { default as ImportPage } from './ImportPage.vue'
