import { defineKind } from '../../kindViews'

export const letter = defineKind<'letter'>({
  label: 'Letter',
  hint: 'asked aloud, answered with A to E',
  isAsked: true,
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => 'choose a letter',
  sendLabel: (_item, answer) => (answer ? `Send ${answer.letter}` : 'Choose a letter'),
  inWords: (_item, tally, key) =>
    [
      ...(tally?.counts.map((row) => `${row.letter}: ${row.count}`) ?? []),
      key ? `right: ${key.right.join(', ')}` : '',
    ]
      .filter(Boolean)
      .join('; '),
})
