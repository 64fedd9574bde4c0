import type { Words } from '@/words'
import type en from './en'

export default {
  one_is_right: 'Eine ist richtig',
  several_are_right: 'Mehrere sind richtig',
  true_or_false: 'Wahr oder falsch',
  all_or_nothing: 'Alles oder nichts',
  right_minus_wrong: 'Richtige minus falsche',
  choose_one: 'Eine wählen',
  choose_any: 'Beliebig viele wählen',
  form: 'Form',
  marking: 'Bewertung',
  option: 'Antwortmöglichkeit',
  the_right_answer: 'Die richtige Antwort',
  mark_as_right: 'Als richtig markieren',
  option_is_right: 'Antwort {letter} ist richtig',
  label: 'Auswahl',
  hint: 'eine oder mehrere Antwortmöglichkeiten sind richtig',
} satisfies Words<typeof en>
