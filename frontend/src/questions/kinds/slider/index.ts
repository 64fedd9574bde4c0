import { plainNumber } from '@/questions/shared/numbers'
import { defineKind } from '../../kindViews'

export const slider = defineKind<'slider'>({
  label: 'Slider',
  hint: 'a number on a scale',
  isAsked: true,
  starts: () => ({ time_limit: 45 }),
  editor: async () => (await import('./Editor.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => 'move the slider',
  sendLabel: (item, answer) =>
    answer ? `Send ${plainNumber(answer.value)} ${item.unit}`.trim() : 'Move the slider',
  inWords: (_item, tally, key) =>
    [
      ...(tally?.values.map((row) => `${plainNumber(row.value)}: ${row.count}`) ?? []),
      key ? `right: ${plainNumber(key.low)} to ${plainNumber(key.high)}` : '',
    ]
      .filter(Boolean)
      .join('; '),
})
