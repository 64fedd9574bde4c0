import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'введи число',
  choose: 'Введи число',
  your_number: 'Твоє число',
  read_as: 'Прочитано як {number}',
  type_one: 'Введи число.',
  type_one_in: 'Введи число в {unit}.',
  range_counts: '{value} (зараховується {range})',
} satisfies Words<typeof en>
