import type { GameViews } from '../gameViews'

export const wordSearch: GameViews<'word_search'> = {
  label: 'Word search',
  hint: 'Words of the set lie hidden among letters, and are found by their clues.',
  settings: async () => (await import('./WordSearchSettings.vue')).default,
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('../screens/PairsScreen.vue')).default,
  own: async () => (await import('./own/WordSearchOwn.vue')).default,
  answers: true,
}
