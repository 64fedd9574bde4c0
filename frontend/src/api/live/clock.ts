/** The server's clock, as far as a device can know it. */
import { ref } from 'vue'

export function useServerClock() {
  /** Server time minus this device's, in milliseconds. */
  const offset = ref(0)
  let bestTrip = Infinity

  /** The shortest round trip tells it best. */
  function tell(now: number, sentAt: number): void {
    const trip = Date.now() - sentAt
    if (trip > bestTrip) return
    bestTrip = trip
    offset.value = now + trip / 2 - Date.now()
  }

  /** A message that came by itself is better than nothing. */
  function guess(now: number): void {
    if (bestTrip === Infinity) offset.value = now - Date.now()
  }

  return { offset, tell, guess }
}
