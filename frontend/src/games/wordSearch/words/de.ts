import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Suchrätsel',
  hidden: 'Wörter liegen zwischen Buchstaben versteckt. Darunter steht zu jedem ein Hinweis.',
  touch: 'Tippe auf den ersten Buchstaben eines Wortes, dann auf den letzten.',
  costs_nothing: 'Etwas anderes zu markieren kostet nichts. Nimm dir Zeit.',
  wins: 'Vorn ist, wer am meisten gefunden hat.',
  grid: 'Buchstaben',
  letter_at: '{letter}, Zeile {row}, Spalte {column}',
  clues: 'Noch versteckt',
  found: 'Gefunden',
  it_is: 'Gefunden: {word}.',
  no_word: 'Keines der Wörter: {letters}.',
  no_line: 'Ein Wort läuft gerade: waagerecht, senkrecht oder schräg.',
  from_here: 'Ab {letter}. Tippe auf den letzten Buchstaben.',
  n_found: { one: '{n} Wort gefunden', other: '{n} Wörter gefunden' },
} satisfies Words<typeof en>
