import { pieceOf } from '@/composables/sound/notes'
import type { GameMusic } from '../gameViews'

export const music: GameMusic<'keepers'> = {
  piece: pieceOf(
    0.6,
    '19 . . 24 . . 21 . . 16 . . 19 . . 14 . . 12 . . 16 . . 21 . . 19 . . . . . . . .',
    '0 . . -5 . . -3 . . 2 . .',
  ),
  lit: (board) => board.lights.reduce((sum, light) => sum + Math.floor(light / 100), 0),
}
