import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'envoie un mot',
  sort_up_to: 'envoie jusqu’à {most} mots',
  choose: 'Écris un mot',
  send: { one: 'Envoyer {n} mot', many: 'Envoyer {n} de mots', other: 'Envoyer {n} mots' },
  your_word: 'Ton mot',
  up_to: 'Jusqu’à {most} mots',
  word: 'Mot {number}',
  invite_one: 'Envoie un mot.',
  invite_up_to: 'Envoie jusqu’à {most} mots.',
  counted_as_one: 'Comptés comme un seul\u00a0: {words}',
  your_words: 'Tes mots\u00a0: {words}',
} satisfies Words<typeof en>
