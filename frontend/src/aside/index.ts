export { default as JobsButton } from './JobsButton.vue'
export { follow, giveUp } from './follow'
export { useJobs } from './useJobs'
