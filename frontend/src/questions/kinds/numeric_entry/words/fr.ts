import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'tape un nombre',
  choose: 'Tape un nombre',
  your_number: 'Ton nombre',
  read_as: 'Lu comme {number}',
  type_one: 'Tape un nombre.',
  type_one_in: 'Tape un nombre en {unit}.',
  range_counts: '{value} ({range} compte)',
} satisfies Words<typeof en>
