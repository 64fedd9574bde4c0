import type { GameViews } from '../gameViews'

export const beacons: GameViews<'beacons'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./BeaconsScreen.vue')).default,
  own: async () => (await import('./own/BeaconsOwn.vue')).default,
}
