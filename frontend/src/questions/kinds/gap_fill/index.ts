import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const gap_fill = defineKind<'gap_fill'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (_item, answer) => {
    if (!answer) return t('choose')
    const filled = answer.texts.filter((text) => text.trim()).length
    return common('send_of', { count: filled, of: answer.texts.length })
  },
  inWords: (_item, tally, key) =>
    [
      ...(tally?.gaps.map((words, gap) =>
        t('gap_holds', {
          number: gap + 1,
          words: words.map((word) => `${word.text} ${word.count}`).join(', ') || t('nothing'),
        }),
      ) ?? []),
      key ? common('right_is', { text: key.gaps.map((words) => words[0]).join(', ') }) : '',
    ]
      .filter(Boolean)
      .join('; '),
})
