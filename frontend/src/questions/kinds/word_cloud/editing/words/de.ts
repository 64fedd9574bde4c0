import type { Words } from '@/words'
import type en from './en'

export default {
  one_word: 'ein Wort',
  up_to_words: 'bis zu {value} Wörter',
  words: 'Wörter',
  right_word: 'Richtiges Wort',
  students_send_a_few_words_those:
    'Lernende senden ein paar Wörter. Solche, die sich nur in Großschreibung, Akzenten oder Mehrzahlendung unterscheiden, werden zusammengezählt.',
  label: 'Wortwolke',
  hint: 'ein paar Wörter, gezählt',
} satisfies Words<typeof en>
