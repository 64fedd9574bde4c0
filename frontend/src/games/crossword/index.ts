import type { GameViews } from '../gameViews'

export const crossword: GameViews<'crossword'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./CrosswordScreen.vue')).default,
  leads: true,
  own: async () => (await import('./own/CrosswordOwn.vue')).default,
}
