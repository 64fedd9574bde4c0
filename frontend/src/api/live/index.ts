export { openLine, type Line, type LineOptions, type LineStatus, type Way } from './line'
export { createOrders } from './orders'
