import type { Words } from '@/words'
import type en from './en'

export default {
  no_words_yet: '(noch ohne Text)',
  each_right_part_counts: 'jeder richtige Teil zählt',
  all_or_nothing: 'alles oder nichts',
  marking: 'Bewertung',
  line_of_the_rubric: 'Zeile {number} des Rasters',
  what_a_good_answer_says: 'Was eine gute Antwort sagt',
  points: 'Punkte',
  for_line: 'für Zeile {number}',
  remove_line: 'Zeile {number} entfernen',
  add_a_line_to_look_for: 'Eine Zeile hinzufügen, auf die geachtet wird',
  capitals_as_written: 'Groß- und Kleinschreibung wie geschrieben',
  accents_as_written_is_not_e: 'Akzente wie geschrieben (é ist nicht e)',
  punctuation_as_written: 'Satzzeichen wie geschrieben',
  a_leading_article_may_be_left: 'Ein Artikel am Anfang darf fehlen oder dazukommen',
  small_typos_that_make_no_other:
    'Kleine Tippfehler, die kein anderes Wort ergeben, werden verziehen (ein Buchstabe ab fünf, zwei ab neun)',
  exactly_as_written: 'genau wie geschrieben',
  capitals_count: 'Großschreibung zählt',
  accents_free: 'Akzente frei',
  articles_free: 'Artikel frei',
  punctuation_counts: 'Satzzeichen zählen',
  typos_forgiven: 'Tippfehler verziehen',
  usual_spelling: 'übliche Schreibweise',
  how_strict: 'Wie streng:',
  it_counts: 'Es zählt:',
  it_does_not_count: 'Es zählt nicht:',
  remove: '{line} entfernen',
} satisfies Words<typeof en>
