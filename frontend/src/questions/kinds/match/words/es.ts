import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'encuentra las parejas',
  choose: 'Encuentra las parejas',
  put: '{left} con {right}',
  partners: 'Elige una pareja para cada línea',
  chosen: 'elegido',
  choose_one: 'elige…',
  caption: 'Cuántos unieron cada línea de la izquierda con cada una de la derecha',
  partner_of: 'Pareja del número {number}',
} satisfies Words<typeof en>
