export { default as RemoteApp } from './RemoteApp.vue'
