import type { Words } from '@/words'
import type en from './en'

export default {
  a_to: 'A bis {last}',
  letters: 'Buchstaben',
  you_ask_aloud_or_it_stands:
    'Sie fragen laut, oder es steht an der Tafel; Lernende senden einen Buchstaben.',
  is_right: '{letter} ist richtig',
  label: 'Buchstabe',
  hint: 'mündlich gefragt, mit einem Buchstaben beantwortet',
} satisfies Words<typeof en>
