import type { Words } from '@/words'
import type en from './en'

export default {
  any_members_right_answer_turns: 'Jede richtige Antwort eines Mitglieds stellt eine Scheibe für das Team.',
  locks: 'Schlösser',
  one_for_every_three_questions: 'eines für je drei Fragen',
  dials_of_each_lock: 'Scheiben an jedem Schloss:',
  it_ends_for_all_after: 'Es endet für alle nach',
  minutes: 'Minuten',
  write_a_story: 'Eine Geschichte schreiben…',
  before_it_begins: 'Bevor es beginnt',
  why_the_boat: 'Warum das Boot hinaus muss, ehe die Flut kippt',
  opened_by_questions: 'Wird geöffnet von den Fragen {asks}',
  story_at_lock: 'Geschichte an Schloss {number}',
  what_one_finds_here: 'Was man hier findet',
  hint_at_lock: 'Hinweis an Schloss {number}',
  a_hint_for_1_lantern: 'Ein Hinweis, für 1 Laterne',
  when_all_are_open: 'Wenn alle offen sind',
  hint: 'Schlösser in einer Kette, jedes mit einem Code aus mehreren Antworten und Ihrer Geschichte.',
  everybody_alone: 'keine: alle allein',
} satisfies Words<typeof en>
