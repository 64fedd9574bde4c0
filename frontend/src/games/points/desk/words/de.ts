import type { Words } from '@/words'
import type en from './en'

export default {
  a_little_more_for_early_answers: 'Etwas mehr für frühe Antworten',
  at_most_20_points_on_top: 'Höchstens 20 Punkte zusätzlich zu 100.',
  a_little_more_for_right_ones: 'Etwas mehr für mehrere richtige in Folge',
  ten_points_for_each_right_answer: '10 Punkte für jede richtige Antwort davor, höchstens 30.',
  hint: 'Punkte für richtige Antworten, und Plätze, die sich bewegen.',
} satisfies Words<typeof en>
