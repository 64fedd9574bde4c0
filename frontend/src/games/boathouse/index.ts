import type { GameViews } from '../gameViews'

export const boathouse: GameViews<'boathouse'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./BoathouseScreen.vue')).default,
  own: async () => (await import('./own/BoathouseOwn.vue')).default,
}
