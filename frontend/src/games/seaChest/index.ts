import type { GameViews } from '../gameViews'

export const seaChest: GameViews<'sea_chest'> = {
  label: 'Sea chest',
  hint: 'Draw a card, talk about it, and you say what it was worth. Any question will do.',
  settings: async () => (await import('./SeaChestSettings.vue')).default,
  rules: async () => (await import('./rules')).rules,
  music: async () => (await import('./music')).music,
  screen: async () => (await import('./SeaChestScreen.vue')).default,
  asked: async () => (await import('./SeaChestAsked.vue')).default,
  desk: async () => (await import('./SeaChestDesk.vue')).default,
  own: async () => (await import('./own/SeaChestOwn.vue')).default,
}
