import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const word_cloud = defineKind<'word_cloud'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  merged: (tally) => tally.words.filter((word) => word.merged.length),
  sort: (item) => (item.most === 1 ? t('sort_one') : t('sort_up_to', { most: item.most ?? 0 })),
  sendLabel: (_item, answer) => {
    return answer ? t('send', { n: answer.words.length }) : t('choose')
  },
  inWords: (_item, tally, key) =>
    [
      ...(tally?.words.slice(0, 15).map((word) => `${word.text}: ${word.count}`) ?? []),
      key ? common('right_is', { text: key.accepts.join(', ') }) : '',
    ]
      .filter(Boolean)
      .join('; '),
})
