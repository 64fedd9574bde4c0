import { defineKind } from '../../kindViews'

export const open_response = defineKind<'open_response'>({
  label: 'Open response',
  hint: 'a text of one’s own',
  isAsked: true,
  isOpinionOnly: true,
  starts: () => ({ time_limit: 180 }),
  editor: async () => (await import('./Editor.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => 'write in your own words',
  sendLabel: (_item, answer) => (answer ? 'Send it' : 'Write your answer'),
  inWords: (_item, tally) => (tally ? `${tally.n} answers: ${tally.texts.slice(0, 10).join('; ')}` : ''),
})
