import type { GameViews } from '../gameViews'

export const points: GameViews<'points'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
}
