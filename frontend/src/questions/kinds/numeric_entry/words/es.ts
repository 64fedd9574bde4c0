import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'escribe un número',
  choose: 'Escribe un número',
  your_number: 'Tu número',
  read_as: 'Se lee como {number}',
  type_one: 'Escribe un número.',
  type_one_in: 'Escribe un número en {unit}.',
  range_counts: '{value} (cuenta {range})',
} satisfies Words<typeof en>
