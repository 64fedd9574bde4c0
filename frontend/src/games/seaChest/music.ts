import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'sea_chest'> = {
  piece: pieceOf(
    0.55,
    '7 . . 9 . 12 . . 9 . 7 . 4 . . 7 . 9 . . 4 . 2 .',
    '-5 . . . -8 . . . -12 . . . -5 . . . -8 . . . -10 . . .',
  ),
  lit: (board) => board.teams.reduce((sum, team) => sum + team.pearls, 0),
}
