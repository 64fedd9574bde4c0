import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'soundings'> = {
  piece: pieceOf(
    0.7,
    '12 . . 7 . . 14 . 16 . . . 19 . . 16 . . 14 . 12 . . .',
    '-12 . . . . . -5 . . . . . -8 . . . . . -5 . . . . .',
  ),
  lit: (board) => board.channels.flatMap((one) => one.soundings).filter((one) => one.team).length,
}
