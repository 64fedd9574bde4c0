import type { GameViews } from '../gameViews'

export const soundings: GameViews<'soundings'> = {
  label: 'Soundings',
  hint: 'Teams in one room choose how far out they dare to go.',
  settings: async () => (await import('./SoundingsSettings.vue')).default,
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./SoundingsScreen.vue')).default,
  asked: async () => (await import('./SoundingsAsked.vue')).default,
  desk: async () => (await import('./SoundingsDesk.vue')).default,
  own: async () => (await import('./own/SoundingsOwn.vue')).default,
}
