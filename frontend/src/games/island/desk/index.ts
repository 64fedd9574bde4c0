import type { GameDeskViews } from '@/games/gameViews'
import { t as common } from '../words'
import { t } from './words'

export const island: GameDeskViews = {
  label: () => common('name'),
  hint: () => t('hint'),
  settings: async () => (await import('./IslandSettings.vue')).default,
  desk: async () => (await import('./IslandDesk.vue')).default,
}
