import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'valora cada afirmación',
  choose: 'Valora las afirmaciones',
  rated: {
    one: '{line}: media {mean}, dispersión {spread}, {n} valoración',
    many: '{line}: media {mean}, dispersión {spread}, {n} de valoraciones',
    other: '{line}: media {mean}, dispersión {spread}, {n} valoraciones',
  },
  rated_once: '{line}: {mean}, una valoración',
} satisfies Words<typeof en>
