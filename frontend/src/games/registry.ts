/** Every game's views, in one exhaustive list: a game without views does not compile. */
import type { GameName } from '@/api/types'
import type { GameViews } from './gameViews'
import { points } from './points'

export const games: Record<GameName, GameViews> = { points }
