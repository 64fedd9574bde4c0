/** The settings of a session while they are chosen: what a set begins with, and what goes with the two switches. */
import { useLocalStorage, type RemovableRef } from '@vueuse/core'
import type { RunOffer, Settings } from '@/api/types'

/** How this set was run last; a set that never was begins with what goes for everybody. */
export const beginning = (offer: RunOffer): Settings => (offer.last ?? offer.start) as Settings

/** What goes with the two switches. Who takes part, what is played and the own words stay. */
export function switched(
  offer: RunOffer,
  now: Settings,
  manner: Settings['manner'],
  answers: Settings['answers'],
): Settings {
  const found = offer.switched.find((one) => one.manner === manner && one.answers === answers)!
  const { known, game } = now
  const closing = { ...(found.settings as Settings).closing, words: now.closing.words }
  return { ...(found.settings as Settings), known, game, closing }
}

/** The class that a session was run for last, on this device. */
export const useChosenClass = (): RemovableRef<number | null> =>
  useLocalStorage<number | null>('lantern.run-class', null, {
    serializer: { read: (text) => Number(text) || null, write: String },
  })
