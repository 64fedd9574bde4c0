import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'اكتب عددًا',
  choose: 'اكتب عددًا',
  your_number: 'عددك',
  read_as: 'قُرئ هكذا: {number}',
  type_one: 'اكتب عددًا.',
  type_one_in: 'اكتب عددًا بوحدة {unit}.',
  range_counts: 'العدد {value} (يُقبل {range})',
} satisfies Words<typeof en>
