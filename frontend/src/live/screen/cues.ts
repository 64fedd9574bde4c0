/** What there is to hear, and when: a piece in the lobby, a tick for each of the last five seconds, a chord for a result. */
import type { ScreenView } from '@/api/types'

export interface Moment {
  phase: ScreenView['phase'] | null
  /** Whole seconds left, where the question is open and has a limit. */
  seconds: number | null
  /** Whether the class sees a result. */
  result: boolean
}
export type Cue = 'tick' | 'chord'
const LAST = 5

export function momentOf(view: ScreenView | null, seconds: number | null): Moment {
  const runs = !!view && !view.stopped
  const isOver = view?.phase === 'closed' || view?.phase === 'revealed'
  return {
    phase: runs ? view.phase : null,
    seconds: runs && view.phase === 'open' ? seconds : null,
    result: runs && isOver && !!view.shown?.tally,
  }
}

export const playsPiece = (now: Moment): boolean => now.phase === 'lobby'

/** What is due as one moment follows another. Nothing for who has just opened the page. */
export function cueOf(before: Moment | null, now: Moment): Cue | null {
  if (!before) return null
  const ticks = now.seconds !== null && now.seconds >= 1 && now.seconds <= LAST
  if (ticks && now.seconds !== before.seconds && before.seconds !== null) return 'tick'
  const isNews = !before.result || (now.phase === 'revealed' && before.phase === 'closed')
  return now.result && isNews && before.phase !== null ? 'chord' : null
}

/** Semitones above the piece's lowest note, one for each step; null is a rest. Five tones, so that all go together. */
export const PIECE: readonly (number | null)[] = [
  12,
  null,
  19,
  null,
  21,
  24,
  null,
  null,
  19,
  null,
  16,
  null,
  14,
  12,
  null,
  null,
  14,
  null,
  21,
  null,
  24,
  26,
  null,
  null,
  24,
  null,
  21,
  19,
  null,
  16,
  null,
  null,
]
export const STEP = 0.55
const LOWEST = 146.83

export const frequencyOf = (semitones: number): number => LOWEST * 2 ** (semitones / 12)
