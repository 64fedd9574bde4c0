/** What a student's own device lets them hear, where they asked for it: fetched only then. */
import type { Mine, StudentView } from '@/api/types'
import type { Signal } from '@/composables/sound/signals'

/** What matters of a moment for the ear. */
export interface Heard {
  ended: boolean
  /** The mark that was told, and of which ask. */
  told: string
  mark: number | null
  /** The game is not as it was. */
  moved: number
}

export const heardOf = (view: StudentView | null, mine: Mine | null): Heard => ({
  ended: view?.phase === 'ended',
  told: mine?.mark === null || mine?.mark === undefined ? '' : (mine.ask ?? ''),
  mark: mine?.mark ?? null,
  moved: mine?.moved ?? 0,
})

/** What is due as one moment follows another; nothing for who has just opened the page. */
export function signalOf(before: Heard | null, now: Heard): Signal | null {
  if (!before) return null
  if (now.ended) return before.ended ? null : 'end'
  if (now.told && now.told !== before.told) return now.mark! >= 1 ? 'right' : 'wrong'
  return now.moved > before.moved ? 'lit' : null
}
