import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const open_response = defineKind<'open_response'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (_item, answer) => (answer ? common('send_it') : t('choose')),
  inWords: (_item, tally) =>
    tally ? t('answers', { n: tally.n ?? 0, texts: tally.texts.slice(0, 10).join('; ') }) : '',
})
