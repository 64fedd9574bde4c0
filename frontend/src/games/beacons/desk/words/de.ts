import type { Words } from '@/words'
import type en from './en'

export default {
  whoever_is_furthest_when_you_end: 'wer am weitesten ist, wenn Sie es beenden',
  whoever_is_first_at_the_end: 'wer als Erstes am Ende der Kette ist',
  uneven_teams_are_fair_a_team: 'Ungleiche Teams sind fair: Ein Team zählt mit dem Mittel seiner Mitglieder.',
  the_winner_is: 'Es gewinnt,',
  beacons_in_a_chain: 'Baken in einer Kette',
  seven_for_ten_questions: 'sieben für zehn Fragen',
  one_for_each_question: 'eine für jede Frage',
  hint: 'Teams entzünden eine Kette von Baken an der Küste.',
} satisfies Words<typeof en>
