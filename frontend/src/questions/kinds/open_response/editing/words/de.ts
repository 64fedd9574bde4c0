import type { Words } from '@/words'
import type en from './en'

export default {
  students_write_a_text_of_their:
    'Lernende schreiben einen eigenen Text. Es gibt keine richtige Antwort, mit der er verglichen wird.',
  at_most: 'Höchstens',
  characters: 'Zeichen',
  i_mark_the_answers_by_hand: 'Ich bewerte die Antworten danach von Hand',
  label: 'Freie Antwort',
  hint: 'ein eigener Text',
} satisfies Words<typeof en>
