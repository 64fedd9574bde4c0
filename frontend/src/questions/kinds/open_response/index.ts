import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const open_response = defineKind<'open_response'>({
  label: 'Open response',
  hint: 'a text of one’s own',
  isAsked: true,
  isOpinionOnly: true,
  starts: () => ({ time_limit: 180 }),
  editor: async () => (await import('./Editor.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (_item, answer) => (answer ? common('send_it') : t('choose')),
  inWords: (_item, tally) =>
    tally ? t('answers', { n: tally.n ?? 0, texts: tally.texts.slice(0, 10).join('; ') }) : '',
})
