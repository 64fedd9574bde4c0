export { default as SeatView } from './SeatView.vue'
export { default as StudentApp } from './StudentApp.vue'
export { refusedBy, type Refused, type SeatLink } from './useSeat'
