/** What was written and not sent yet, kept on this device. */
import type { Draft, Known } from './changes'

export interface Unsent {
  draft: Draft
  known: Known
}

export function draftShelf(setId: number) {
  const place = `lantern.set.${setId}`
  return {
    read(): Unsent | null {
      try {
        return JSON.parse(localStorage.getItem(place) ?? 'null')
      } catch {
        return null
      }
    },
    write(unsent: Unsent): void {
      try {
        localStorage.setItem(place, JSON.stringify(unsent))
      } catch {
        // The device has no room: what is on the page is still sent to the server.
      }
    },
    clear: () => localStorage.removeItem(place),
  }
}
