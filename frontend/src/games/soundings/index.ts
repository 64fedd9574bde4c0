import type { GameViews } from '../gameViews'

export const soundings: GameViews<'soundings'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./SoundingsScreen.vue')).default,
  asked: async () => (await import('./SoundingsAsked.vue')).default,
  own: async () => (await import('./own/SoundingsOwn.vue')).default,
}
