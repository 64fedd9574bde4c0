export { default as JobsButton } from './JobsButton.vue'
export { useJobs } from './useJobs'
