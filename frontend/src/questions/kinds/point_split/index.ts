import { textOf } from '@/questions/shared/lines'
import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const point_split = defineKind<'point_split'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: (item) => t('sort', { total: item.total ?? 0 }),
  sendLabel: (item, answer) => (answer ? common('send_it') : t('choose', { total: item.total })),
  inWords: (item, tally) =>
    (tally?.portions ?? [])
      .map((one) => {
        const html = item.options.find((option) => option.id === one.id)?.html ?? ''
        return t('mean', { line: textOf(html), mean: one.mean })
      })
      .join('; '),
})
