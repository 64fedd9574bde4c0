import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'
import { lit } from './light'

export const music: GameMusic<'beacons'> = {
  piece: pieceOf(
    0.42,
    '12 . 14 16 . 19 . . 21 . 19 . 16 . . . 14 . 16 19 . 24 . . 26 . 24 . 21 . 19 .',
    '0 . . . -5 . . . 4 . . . -3 . . .',
  ),
  lit: (board) => board.teams.reduce((sum, team) => sum + lit(team.light), 0),
}
