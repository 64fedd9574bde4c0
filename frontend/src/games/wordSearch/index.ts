import type { GameViews } from '../gameViews'

export const wordSearch: GameViews<'word_search'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('../screens/PairsScreen.vue')).default,
  own: async () => (await import('./own/WordSearchOwn.vue')).default,
  answers: true,
}
