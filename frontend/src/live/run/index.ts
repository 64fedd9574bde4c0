export { default as PreparedSessions } from './PreparedSessions.vue'
export { default as RunDialog } from './RunDialog.vue'
