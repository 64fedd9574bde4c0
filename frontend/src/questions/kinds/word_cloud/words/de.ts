import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'sende ein Wort',
  sort_up_to: 'sende bis zu {most} Wörter',
  choose: 'Schreib ein Wort',
  send: { one: '{n} Wort senden', other: '{n} Wörter senden' },
  your_word: 'Dein Wort',
  up_to: 'Bis zu {most} Wörter',
  word: 'Wort {number}',
  invite_one: 'Sende ein Wort.',
  invite_up_to: 'Sende bis zu {most} Wörter.',
  counted_as_one: 'Als eins gezählt: {words}',
  your_words: 'Deine Wörter: {words}',
} satisfies Words<typeof en>
