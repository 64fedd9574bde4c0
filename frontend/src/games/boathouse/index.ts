import type { GameViews } from '../gameViews'

export const boathouse: GameViews<'boathouse'> = {
  label: 'Locked boathouse',
  hint: 'Locks in a chain, each with a code of several answers and a story of yours.',
  settings: async () => (await import('./BoathouseSettings.vue')).default,
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./BoathouseScreen.vue')).default,
  own: async () => (await import('./own/BoathouseOwn.vue')).default,
}
