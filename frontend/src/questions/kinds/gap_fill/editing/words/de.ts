import type { Words } from '@/words'
import type en from './en'

export default {
  gaps_are_typed: 'Lücken werden ausgefüllt',
  each_gap_has_its_choices: 'Jede Lücke hat ihre Auswahl',
  one_bank_of_words: 'Ein Wortspeicher für alle',
  gaps: 'Lücken',
  what_belongs_into_a_gap_stands:
    'Was in eine Lücke gehört, steht in Klammern; ein Strich trennt Schreibweisen, die auch richtig sind: [steigt|klettert].',
  in_brackets_the_right_choice_first: 'In Klammern zuerst das Richtige, dann die anderen: [sechs|vier|acht].',
  what_belongs_into_a_gap_stands_2:
    'Was in eine Lücke gehört, steht in Klammern: [Springflut]. Alle Wörter zusammen bilden den Speicher.',
  text_with_gaps: 'Text mit Lücken',
  the_tide_rises_for_about_six: 'Die Flut steigt etwa [sechs] Stunden lang.',
  word_that_belongs_nowhere: 'Wort, das nirgends hingehört',
  label: 'Lückentext',
  hint: 'Wörter kommen in die Lücken eines Textes',
  gap: 'Lücke {number}',
} satisfies Words<typeof en>
