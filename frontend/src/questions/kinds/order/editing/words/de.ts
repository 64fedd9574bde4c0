import type { Words } from '@/words'
import type en from './en'

export default {
  each_pair_in_the_right_order: 'jedes Paar in der richtigen Reihenfolge zählt',
  exactly_this_order: 'genau diese Reihenfolge',
  marking: 'Bewertung',
  in_the_right_order_students_see: 'In der richtigen Reihenfolge; Lernende sehen sie gemischt.',
  students_rank_them: 'Lernende ordnen sie nach eigenem Urteil.',
  line: 'Zeile',
  move_line_up: 'Zeile {number} nach oben',
  none: 'keine',
  label: 'Reihenfolge',
  hint: 'Zeilen kommen in ihre Reihenfolge oder eine Rangfolge',
  words_for_the_first: 'Worte für den ersten Platz',
  words_for_the_last: 'Worte für den letzten Platz',
} satisfies Words<typeof en>
