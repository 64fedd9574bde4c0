import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const text_entry = defineKind<'text_entry'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: (item) =>
    ('dictation' in item ? item.dictation : item.form === 'dictation') ? t('sort_dictation') : t('sort'),
  sendLabel: (_item, answer) => (answer ? common('send_it') : t('choose')),
  inWords: (_item, tally, key) =>
    [
      ...(tally?.texts.slice(0, 8).map((row) => `${row.text}: ${row.count}`) ?? []),
      key ? common('right_is', { text: key.accepts[0] ?? '' }) : '',
    ]
      .filter(Boolean)
      .join('; '),
})
