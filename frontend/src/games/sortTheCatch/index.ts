import type { GameViews } from '../gameViews'

export const sortTheCatch: GameViews<'sort_the_catch'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('../screens/PairsScreen.vue')).default,
  answers: true,
  own: async () => (await import('./own/SortTheCatchOwn.vue')).default,
}
