import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Dos mitades',
  join: 'Todo está partido en dos mitades. Toca una y luego la que le corresponde.',
  lights: 'Lo que va junto se une y su luz se enciende.',
  first: 'De cada uno cuenta el primer intento. Tómate tu tiempo.',
  wins: 'Va delante quien unió más al primer intento.',
  halves: 'Mitades',
  others: 'Sus otras mitades',
  joined: 'Unidos',
} satisfies Words<typeof en>
