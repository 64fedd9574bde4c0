import type { GameViews } from '../gameViews'

export const twoHalves: GameViews<'two_halves'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('../screens/PairsScreen.vue')).default,
  answers: true,
  own: async () => (await import('./own/TwoHalvesOwn.vue')).default,
}
