import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'sort_the_catch'> = {
  piece: pieceOf(
    0.5,
    '7 . 9 . 12 . . 9 . 7 . . 14 . 12 . 9 . . 7 . 4 . .',
    '-12 . . . -5 . . . -8 . . . -10 . . . -5 . . . -12 . . .',
  ),
  lit: (board) => board.boards.reduce((sum, one) => sum + one.finished, 0),
}
