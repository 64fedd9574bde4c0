import type { GameViews } from '../gameViews'

export const points: GameViews = {
  settings: async () => (await import('./PointsSettings.vue')).default,
}
