import { plainNumber } from '@/questions/shared/numbers'
import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const slider = defineKind<'slider'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (item, answer) =>
    answer ? common('send', { what: `${plainNumber(answer.value)} ${item.unit}`.trim() }) : t('choose'),
  inWords: (_item, tally, key) =>
    [
      ...(tally?.values.map((row) => `${plainNumber(row.value)}: ${row.count}`) ?? []),
      key
        ? common('right_is', {
            text: common('range', { low: plainNumber(key.low), high: plainNumber(key.high) }),
          })
        : '',
    ]
      .filter(Boolean)
      .join('; '),
})
