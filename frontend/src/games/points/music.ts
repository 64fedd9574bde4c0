import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'points'> = {
  piece: pieceOf(
    0.5,
    '12 . 16 19 . . 21 . 24 . 21 . 19 16 . . 14 . 19 21 . . 26 . 24 . 19 . 16 14 . .',
    '0 . . . . . . . -3 . . . . . . .',
  ),
}
