/** What every game has for the desk, in one exhaustive list: a game without it does not compile. */
import type { GameName } from '@/api/types'
import { beacons } from '../beacons/desk'
import { boathouse } from '../boathouse/desk'
import { crossword } from '../crossword/desk'
import { island } from '../island/desk'
import { keepers } from '../keepers/desk'
import { points } from '../points/desk'
import { seaChest } from '../seaChest/desk'
import { shutters } from '../shutters/desk'
import { sortTheCatch } from '../sortTheCatch/desk'
import { soundings } from '../soundings/desk'
import { twoHalves } from '../twoHalves/desk'
import { wordSearch } from '../wordSearch/desk'
import type { GameDeskViews } from '../gameViews'

const desks: Record<GameName, GameDeskViews> = {
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

export const deskOf = (game: GameName): GameDeskViews => desks[game]
