export { default as PreparedSessions } from './PreparedSessions.vue'
export { default as UnpreparedDialog } from './UnpreparedDialog.vue'
export { default as RunDialog } from './RunDialog.vue'
