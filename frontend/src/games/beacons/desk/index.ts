import type { GameDeskViews } from '@/games/gameViews'
import { t as common } from '../words'
import { t } from './words'

export const beacons: GameDeskViews = {
  label: () => common('name'),
  hint: () => t('hint'),
  settings: async () => (await import('./BeaconsSettings.vue')).default,
}
