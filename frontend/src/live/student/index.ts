export { default as SeatView } from './SeatView.vue'
export { default as StudentApp } from './StudentApp.vue'
export type { SeatLink } from './useSeat'
