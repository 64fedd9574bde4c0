import type { GameDeskViews } from '@/games/gameViews'
import { t as common } from '../words'
import { t } from './words'

export const soundings: GameDeskViews = {
  label: () => common('name'),
  hint: () => t('hint'),
  settings: async () => (await import('./SoundingsSettings.vue')).default,
  desk: async () => (await import('./SoundingsDesk.vue')).default,
}
