import type { Words } from '@/words'
import type en from './en'

export default {
  first_vote: 'Primera votación',
  second_vote: 'Segunda votación',
  right_before_after: '{before} correctas antes, {after} después.',
  gained: 'Ganado de lo posible: {share}.',
  changed: {
    one: '{changed} de {n} que votó dos veces cambió su respuesta.',
    many: '{changed} de {n} que votaron dos veces cambiaron su respuesta.',
    other: '{changed} de {n} que votaron dos veces cambiaron su respuesta.',
  },
  to: 'a',
} satisfies Words<typeof en>
