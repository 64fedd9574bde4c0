import type { GameViews } from '../gameViews'

export const shutters: GameViews<'shutters'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('../screens/PairsScreen.vue')).default,
  answers: true,
  own: async () => (await import('./own/ShuttersOwn.vue')).default,
}
