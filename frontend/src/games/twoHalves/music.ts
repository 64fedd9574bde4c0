import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'two_halves'> = {
  piece: pieceOf(
    0.55,
    '12 . 16 . . 19 . . 21 . 19 . . 16 . . 14 . 12 . . 16 . .',
    '-12 . . . . . -5 . . . . . -3 . . . . . -8 . . . . .',
  ),
  lit: (board) => board.boards.reduce((sum, one) => sum + one.finished, 0),
}
