import type { GameDeskViews } from '@/games/gameViews'
import { t as common } from '../words'
import { t } from './words'

export const seaChest: GameDeskViews = {
  label: () => common('name'),
  hint: () => t('hint'),
  settings: async () => (await import('./SeaChestSettings.vue')).default,
  desk: async () => (await import('./SeaChestDesk.vue')).default,
}
