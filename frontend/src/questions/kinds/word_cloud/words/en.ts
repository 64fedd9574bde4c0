export default {
  sort_one: 'send a word',
  sort_up_to: 'send up to {most} words',
  choose: 'Write a word',
  send: { one: 'Send {n} word', other: 'Send {n} words' },
  your_word: 'Your word',
  up_to: 'Up to {most} words',
  word: 'Word {number}',
  invite_one: 'Send a word.',
  invite_up_to: 'Send up to {most} words.',
  counted_as_one: 'Counted as one: {words}',
  your_words: 'Your words: {words}',
} as const
