import type { GameViews } from '../gameViews'

export const seaChest: GameViews<'sea_chest'> = {
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./SeaChestScreen.vue')).default,
  asked: async () => (await import('./SeaChestAsked.vue')).default,
  own: async () => (await import('./own/SeaChestOwn.vue')).default,
}
