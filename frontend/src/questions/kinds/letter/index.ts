import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const letter = defineKind<'letter'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (_item, answer) => (answer ? common('send', { what: answer.letter }) : t('choose')),
  inWords: (_item, tally, key) =>
    [
      ...(tally?.counts.map((row) => `${row.letter}: ${row.count}`) ?? []),
      key ? common('right_is', { text: key.right.join(', ') }) : '',
    ]
      .filter(Boolean)
      .join('; '),
})
