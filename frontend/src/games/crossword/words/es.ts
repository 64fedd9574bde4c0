import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Crucigrama',
  answers: 'Cada pregunta es una pista, y su respuesta correcta, una palabra del crucigrama.',
  letters:
    'Cuando has respondido, las letras están en tu cuadrícula y ayudan con las palabras que las cruzan.',
  alone: 'Cada cual llena su propia cuadrícula. El orden es libre.',
  together: 'Lo que alguien acierta está en la cuadrícula de todos. El orden es libre.',
  wins: 'Va primero quien tiene más palabras correctas.',
  wins_together: 'Lo habréis conseguido cuando estén todas las palabras.',
  grid: 'El crucigrama',
  across: '{number} horizontal',
  down: '{number} vertical',
  clue: '{place}, {length}',
  letters_n: { one: '{n} letra', many: '{n} letras', other: '{n} letras' },
  is_open: '{clue}: {pattern}',
  is_right: '{clue}: {pattern}, correcta',
  is_missed: '{clue}: {pattern}, fallada',
  is_together: '{clue}: {pattern}, resuelta por alguien',
  blank: 'vacía',
  right_of: '{right} de {words} palabras correctas',
  have_it: '{clue}: la tienen {right} de {players}',
} satisfies Words<typeof en>
