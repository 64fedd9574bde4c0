/** A place on this device (localStorage) for one thing that is being written. It is written at once, so that it is there
 * whatever becomes of the page. */
export function shelfOf<T>(place: string) {
  return {
    read(): T | null {
      try {
        return JSON.parse(localStorage.getItem(place) ?? 'null')
      } catch {
        return null
      }
    },
    write(value: T): void {
      try {
        localStorage.setItem(place, JSON.stringify(value))
      } catch {
        // The device has no room: what is on the page is still there.
      }
    },
    clear(): void {
      try {
        localStorage.removeItem(place)
      } catch {
        // Nothing lies there.
      }
    },
  }
}

const OWN = 'lantern.own.'

/** A place for what is one account's own: it goes when that signs out, or another signs in. */
export const ownShelf = <T>(place: string) => shelfOf<T>(OWN + place)

export function clearOwnShelves(): void {
  try {
    const places = Object.keys(localStorage).filter((place) => place.startsWith(OWN))
    for (const place of places) localStorage.removeItem(place)
  } catch {
    // A browser that keeps nothing has nothing to give away.
  }
}
