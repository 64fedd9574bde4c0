import { defineKind } from '../../kindViews'

export const word_cloud = defineKind<'word_cloud'>({
  label: 'Word cloud',
  hint: 'a few words, counted',
  isAsked: true,
  starts: () => ({ time_limit: 60 }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  typedParts: () => [''],
  merged: (tally) => tally.words.filter((word) => word.merged.length),
  sort: (item) => (item.most === 1 ? 'send a word' : `send up to ${item.most} words`),
  sendLabel: (_item, answer) => {
    if (!answer) return 'Write a word'
    return answer.words.length === 1 ? 'Send 1 word' : `Send ${answer.words.length} words`
  },
  inWords: (_item, tally, key) =>
    [
      ...(tally?.words.slice(0, 15).map((word) => `${word.text}: ${word.count}`) ?? []),
      key ? `right: ${key.accepts.join(', ')}` : '',
    ]
      .filter(Boolean)
      .join('; '),
})
