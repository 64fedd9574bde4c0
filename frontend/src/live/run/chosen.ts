/** The settings of a session while they are chosen: what a set begins with, and what goes with the two switches. */
import { useLocalStorage, type RemovableRef } from '@vueuse/core'
import type { GameChosen, GameName, RunOffer, Settings } from '@/api/types'

/** How this set was run last; a set that never was begins with what goes for everybody. */
export const beginning = (offer: RunOffer): Settings => (offer.last ?? offer.start) as Settings

/** What is played: the name of a game, or nothing. */
export function playedAs({ game, ...settings }: Settings): GameName | '' {
  if (game.game !== 'points') return game.game
  const isShown = settings.manner === 'led' && settings.feedback === 'each' && settings.show_standings
  return isShown && settings.points ? 'points' : ''
}

/** What a game decides; all else stays as it was chosen. */
const OF_A_GAME = [
  'answers',
  'feedback',
  'time',
  'points',
  'show_standings',
  'close_when_all_answered',
  'mix_questions',
] as const

/** What goes with a game, in the manner that was chosen. */
export function playing(offer: RunOffer, now: Settings, game: GameName | '', chosen?: GameChosen): Settings {
  const found = offer.games.find((one) => one.game === game && one.manner === now.manner)!
  const then = found.settings as Settings
  const decided = Object.fromEntries(OF_A_GAME.map((name) => [name, then[name]]))
  return { ...now, ...decided, game: chosen ?? then.game }
}

/**
 * What goes with the two switches. Who takes part, what is played and the own words stay; a game that cannot be played so
 * does not.
 */
export function switched(
  offer: RunOffer,
  now: Settings,
  manner: Settings['manner'],
  answers: Settings['answers'],
): Settings {
  const found = offer.switched.find((one) => one.manner === manner && one.answers === answers)!
  const played = playedAs(now)
  if (played && played !== 'points') {
    const isOffered = offer.games.some((one) => one.game === played && one.manner === manner)
    const there = { ...now, manner }
    if (answers !== 'final' || !isOffered)
      return { ...switched(offer, playing(offer, now, ''), manner, answers) }
    return playing(offer, there, played, now.game)
  }
  const { known, game, lights } = now
  const closing = { ...(found.settings as Settings).closing, words: now.closing.words }
  return { ...(found.settings as Settings), known, game, lights, closing }
}

/** The class that a session was run for last, on this device. */
export const useChosenClass = (): RemovableRef<number | null> =>
  useLocalStorage<number | null>('lantern.run-class', null, {
    serializer: { read: (text) => Number(text) || null, write: String },
  })
