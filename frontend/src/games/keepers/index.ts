import type { GameViews } from '../gameViews'

export const keepers: GameViews<'keepers'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./KeepersScreen.vue')).default,
  own: async () => (await import('./own/KeepersOwn.vue')).default,
}
