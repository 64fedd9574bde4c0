import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Kreuzworträtsel',
  answers: 'Jede Frage ist ein Hinweis, ihre richtige Antwort ein Wort im Rätsel.',
  letters:
    'Hast du geantwortet, stehen die Buchstaben in deinem Gitter und helfen bei den Wörtern, die sie kreuzen.',
  alone: 'Alle füllen ihr eigenes Gitter. Die Reihenfolge ist frei.',
  together: 'Was jemand richtig hat, steht im Gitter von allen. Die Reihenfolge ist frei.',
  wins: 'Vorn ist, wer die meisten Wörter richtig hat.',
  wins_together: 'Geschafft habt ihr es, wenn jedes Wort steht.',
  grid: 'Das Kreuzworträtsel',
  across: '{number} waagerecht',
  down: '{number} senkrecht',
  clue: '{place}, {length}',
  letters_n: { one: '{n} Buchstabe', other: '{n} Buchstaben' },
  is_open: '{clue}: {pattern}',
  is_right: '{clue}: {pattern}, richtig',
  is_missed: '{clue}: {pattern}, nicht gewusst',
  is_together: '{clue}: {pattern}, von jemandem gelöst',
  blank: 'leer',
  right_of: '{right} von {words} Wörtern richtig',
  have_it: '{clue}: {right} von {players} haben es',
} satisfies Words<typeof en>
