import { newId } from '@/api/ids'
import { textOf } from '@/questions/shared/lines'
import { defineKind } from '../../kindViews'

export const rating_scale = defineKind<'rating_scale'>({
  label: 'Rating scale',
  hint: 'statements are rated in steps',
  isAsked: true,
  isOpinionOnly: true,
  starts: () => ({
    time_limit: 90,
    statements: [0, 1].map(() => ({ id: newId(8), text: '' })),
  }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => 'rate each statement',
  sendLabel: (item, answer) =>
    answer ? `Send ${answer.ratings.length} of ${item.statements.length}` : 'Rate the statements',
  inWords: (item, tally) =>
    (tally?.statements ?? [])
      .filter((row) => row.n)
      .map((row) => {
        const html = item.statements.find((one) => one.id === row.id)?.html ?? ''
        return `${textOf(html)}: mean ${row.mean}${row.spread == null ? '' : `, spread ${row.spread}`}, ${row.n} ratings`
      })
      .join('; '),
})
