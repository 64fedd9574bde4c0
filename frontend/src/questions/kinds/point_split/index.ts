import { newId } from '@/api/ids'
import { textOf } from '@/questions/shared/lines'
import { defineKind } from '../../kindViews'

export const point_split = defineKind<'point_split'>({
  label: 'Point split',
  hint: 'a sum is shared out over options',
  isAsked: true,
  isOpinionOnly: true,
  starts: () => ({
    time_limit: 90,
    options: [0, 1].map(() => ({ id: newId(8), text: '' })),
  }),
  editor: async () => (await import('./Editor.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: (item) => `share out ${item.total} points`,
  sendLabel: (item, answer) => (answer ? 'Send it' : `Share out all ${item.total} points`),
  inWords: (item, tally) =>
    (tally?.portions ?? [])
      .map(
        (one) =>
          `${textOf(item.options.find((option) => option.id === one.id)?.html ?? '')}: mean ${one.mean}`,
      )
      .join('; '),
})
