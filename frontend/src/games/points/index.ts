import type { GameViews } from '../gameViews'

export const points: GameViews<'points'> = {
  label: 'Quick lights',
  hint: 'Points for right answers, and places that move.',
  settings: async () => (await import('./PointsSettings.vue')).default,
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
}
