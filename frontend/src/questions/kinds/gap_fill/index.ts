import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const gap_fill = defineKind<'gap_fill'>({
  label: 'Gap fill',
  hint: 'words are put into the gaps of a text',
  isAsked: true,
  starts: () => ({ time_limit: 90 }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  typedParts: (item) =>
    item.way === 'typed'
      ? (item.text?.match(/\[[^[\]]*\]/g) ?? []).map((_, at) => t('gap', { number: at + 1 }))
      : [],
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
