import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Sopa de letras',
  hidden: 'Hay palabras escondidas entre las letras. Abajo hay una pista para cada una.',
  touch: 'Toca la primera letra de una palabra y luego la última.',
  costs_nothing: 'Marcar otra cosa no cuesta nada. Tómate tu tiempo.',
  wins: 'Va delante quien encontró más.',
  grid: 'Letras',
  letter_at: '{letter}, fila {row}, columna {column}',
  clues: 'Aún escondidas',
  found: 'Encontradas',
  it_is: 'Encontrada: {word}.',
  no_word: 'No es una de las palabras: {letters}.',
  no_line: 'Una palabra va recta: horizontal, vertical o en diagonal.',
  from_here: 'Desde {letter}. Toca la última letra.',
  n_found: {
    one: '{n} palabra encontrada',
    many: '{n} palabras encontradas',
    other: '{n} palabras encontradas',
  },
} satisfies Words<typeof en>
