/** A student's view on the teacher's page: what is tried out before it is run. */
export { followLook, offers } from './look'
export { followLanguage } from './ownLanguage'
export { default as SeatView } from './seated/SeatView.vue'
export { refusedBy, type Refused, type SeatLink } from './seated/useSeat'
