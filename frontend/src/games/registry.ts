/** Every game's views, in one exhaustive list: a game without views does not compile. */
import type { GameName } from '@/api/types'
import { beacons } from './beacons'
import { boathouse } from './boathouse'
import { crossword } from './crossword'
import type { GameViews } from './gameViews'
import { island } from './island'
import { keepers } from './keepers'
import { points } from './points'
import { seaChest } from './seaChest'
import { shutters } from './shutters'
import { sortTheCatch } from './sortTheCatch'
import { soundings } from './soundings'
import { twoHalves } from './twoHalves'
import { wordSearch } from './wordSearch'

export const games: { [N in GameName]: GameViews<N> } = {
  points,
  beacons,
  keepers,
  soundings,
  island,
  sea_chest: seaChest,
  boathouse,
  crossword,
  word_search: wordSearch,
  two_halves: twoHalves,
  shutters,
  sort_the_catch: sortTheCatch,
}

/** The views of a game whose name is not known. */
export const viewsOf = (game: GameName): GameViews<GameName> => games[game] as GameViews<GameName>
