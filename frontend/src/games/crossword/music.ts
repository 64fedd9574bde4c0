import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'crossword'> = {
  piece: pieceOf(
    0.65,
    '14 . . 12 . . 16 . 14 . . . 19 . . 21 . . 16 . 12 . . .',
    '-10 . . . . . -5 . . . . . -8 . . . . . -3 . . . . .',
  ),
  lit: (board) => board.words.reduce((sum, word) => sum + word.right, 0),
}
