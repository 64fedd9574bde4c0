import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'shutters'> = {
  piece: pieceOf(
    0.7,
    '24 . . 21 . . . 19 . . 16 . . . 14 . 16 . . 21 . . . .',
    '-3 . . . . . . . . . . . -10 . . . . . . . . . . .',
  ),
  lit: (board) => board.boards.reduce((sum, one) => sum + one.finished, 0),
}
