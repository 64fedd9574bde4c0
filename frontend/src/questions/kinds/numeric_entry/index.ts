import type { KeyOf } from '@/api/types'
import { defineKind } from '../../kindViews'
import { plainNumber } from '@/questions/shared/numbers'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

function keyInWords(key: KeyOf<'numeric_entry'>): string {
  return key.low === key.high
    ? plainNumber(key.low)
    : common('range', { low: plainNumber(key.low), high: plainNumber(key.high) })
}

export const numeric_entry = defineKind<'numeric_entry'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (_item, answer) => (answer ? common('send', { what: answer.text.trim() }) : t('choose')),
  inWords: (_item, tally, key) => {
    const values = tally?.values.map((row) => `${plainNumber(row.value)}: ${row.count}`) ?? []
    return [...values, key ? common('right_is', { text: keyInWords(key) }) : ''].filter(Boolean).join('; ')
  },
})
