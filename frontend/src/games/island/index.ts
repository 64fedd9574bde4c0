import type { GameViews } from '../gameViews'

export const island: GameViews<'island'> = {
  label: 'Round the island',
  hint: 'Teams roll, everybody answers, boats go on. A game of luck.',
  settings: async () => (await import('./IslandSettings.vue')).default,
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./IslandScreen.vue')).default,
  asked: async () => (await import('./IslandAsked.vue')).default,
  desk: async () => (await import('./IslandDesk.vue')).default,
  own: async () => (await import('./own/IslandOwn.vue')).default,
}
