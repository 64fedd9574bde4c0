import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'escribe con tus palabras',
  choose: 'Escribe tu respuesta',
  invite: 'Escribe con tus palabras.',
  characters_left: 'quedan {left} de {of} caracteres',
  answers: {
    one: '{n} respuesta: {texts}',
    many: '{n} de respuestas: {texts}',
    other: '{n} respuestas: {texts}',
  },
} satisfies Words<typeof en>
