import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'island'> = {
  piece: pieceOf(
    0.45,
    '9 . 12 . 14 . . 16 . 14 . 12 9 . 7 . 9 . . 4 . . . .',
    '-3 . . -8 . . -3 . . -5 . . -10 . . -5 . . -8 . . -3 . .',
  ),
  lit: (board) => board.boats.reduce((sum, boat) => sum + boat.bay, 0),
}
