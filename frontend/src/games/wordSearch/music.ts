import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'word_search'> = {
  piece: pieceOf(
    0.6,
    '4 . 7 . . 9 . . 12 . 9 . 7 . . 4 . 2 . . 4 . . .',
    '-8 . . . . . -5 . . . . . -12 . . . . . -10 . . . . .',
  ),
  lit: (board) => board.boards.reduce((sum, one) => sum + one.found, 0),
}
