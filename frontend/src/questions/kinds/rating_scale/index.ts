import { textOf } from '@/questions/shared/lines'
import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const rating_scale = defineKind<'rating_scale'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (item, answer) =>
    answer ? common('send_of', { count: answer.ratings.length, of: item.statements.length }) : t('choose'),
  inWords: (item, tally) =>
    (tally?.statements ?? [])
      .filter((row) => row.n)
      .map((row) => {
        const html = item.statements.find((one) => one.id === row.id)?.html ?? ''
        const said = { line: textOf(html), mean: row.mean ?? '' }
        return row.spread == null
          ? t('rated_once', said)
          : t('rated', { ...said, spread: row.spread, n: row.n })
      })
      .join('; '),
})
