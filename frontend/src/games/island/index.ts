import type { GameViews } from '../gameViews'

export const island: GameViews<'island'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./IslandScreen.vue')).default,
  asked: async () => (await import('./IslandAsked.vue')).default,
  own: async () => (await import('./own/IslandOwn.vue')).default,
}
