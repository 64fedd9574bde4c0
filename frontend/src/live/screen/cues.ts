/** What there is to hear, and when: a piece while nothing is asked, and a signal for what has just happened. */
import type { ScreenView } from '@/api/types'
import { pieceOf } from '@/composables/sound/notes'
import type { Signal } from '@/composables/sound/signals'

export interface Moment {
  phase: ScreenView['phase'] | null
  /** Whole seconds left, where the question is open and has a limit. */
  seconds: number | null
  /** Whether the class sees a result. */
  result: boolean
  /** How much is lit in the game that is played. */
  lit: number
}
const LAST = 5

export function momentOf(view: ScreenView | null, seconds: number | null, lit = 0): Moment {
  const runs = !!view && !view.stopped
  const isOver = view?.phase === 'closed' || view?.phase === 'revealed'
  return {
    phase: runs ? view.phase : null,
    seconds: runs && view.phase === 'open' ? seconds : null,
    result: runs && isOver && !!view.shown?.tally,
    lit,
  }
}

/** Not while a question is before the class: people think. */
export const playsPiece = (now: Moment, isPlayed: boolean): boolean =>
  now.phase === 'lobby' || (isPlayed && (now.phase === 'working' || now.phase === 'standings'))

/** What is due as one moment follows another. Nothing for who has just opened the page, nor after a pause. */
export function cueOf(before: Moment | null, now: Moment): Signal | null {
  if (!before || before.phase === null) return null
  const ticks = now.seconds !== null && now.seconds >= 1 && now.seconds <= LAST
  if (ticks && now.seconds !== before.seconds && before.seconds !== null) return 'tick'
  if (now.phase === 'ended' && before.phase !== 'ended') return 'end'
  const isNews = !before.result || (now.phase === 'revealed' && before.phase === 'closed')
  if (now.result && isNews) return 'result'
  const shows = now.phase === 'working' || (now.phase === 'standings' && before.phase !== 'standings')
  return shows && now.lit > before.lit ? 'lit' : null
}

/** In the lobby of a session in which nothing is played. */
export const PIECE = pieceOf(
  0.55,
  '12 . 19 . 21 24 . . 19 . 16 . 14 12 . . 14 . 21 . 24 26 . . 24 . 21 19 . 16 . .',
  '0 . . . . . . . -5 . . . . . . .',
)
