import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'boathouse'> = {
  piece: pieceOf(
    0.6,
    '0 . . 4 . . 7 . 4 . . . 2 . . 7 . . 9 . 7 . . .',
    '-12 . . . . . -5 . . . . . -10 . . . . . -5 . . . . .',
  ),
  lit: (board) =>
    board.alone
      ? board.opened.reduce((sum, one) => sum + one, 0)
      : board.crews.reduce((sum, crew) => sum + crew.opened, 0),
}
