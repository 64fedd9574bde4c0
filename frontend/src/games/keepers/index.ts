import type { GameViews } from '../gameViews'

export const keepers: GameViews<'keepers'> = {
  label: 'Keepers',
  hint: 'Everybody keeps a light; what was missed comes back.',
  settings: async () => (await import('./KeepersSettings.vue')).default,
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./KeepersScreen.vue')).default,
  own: async () => (await import('./own/KeepersOwn.vue')).default,
}
