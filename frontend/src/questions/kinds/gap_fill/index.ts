import { defineKind } from '../../kindViews'

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
    item.way === 'typed' ? (item.text?.match(/\[[^[\]]*\]/g) ?? []).map((_, at) => `Gap ${at + 1}`) : [],
  sort: () => 'fill the gaps',
  sendLabel: (_item, answer) => {
    if (!answer) return 'Fill the gaps'
    return `Send ${answer.texts.filter((text) => text.trim()).length} of ${answer.texts.length}`
  },
  inWords: (_item, tally, key) =>
    [
      ...(tally?.gaps.map(
        (words, gap) =>
          `gap ${gap + 1}: ${words.map((word) => `${word.text} ${word.count}`).join(', ') || 'nothing'}`,
      ) ?? []),
      key ? `right: ${key.gaps.map((words) => words[0]).join(', ')}` : '',
    ]
      .filter(Boolean)
      .join('; '),
})
