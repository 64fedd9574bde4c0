import type { Words } from '@/words'
import type en from './en'

export default {
  for_oneself: 'für sich',
  everybody_solves_it: 'Gelöst wird es',
  a_word_may_then_have_been:
    'Ein Wort kann dann gelesen sein, bevor es beantwortet wird; Bewertungen sagen also weniger über Einzelne.',
  crossword_number_of_these_words: 'Kreuzworträtsel Nummer {number} aus diesen Wörtern.',
  another_one: 'Ein anderes',
  hint: 'Richtige Antworten sind die Wörter, ihre Fragen die Hinweise.',
  together: 'gemeinsam: Was jemand richtig hat, steht im Rätsel aller',
} satisfies Words<typeof en>
