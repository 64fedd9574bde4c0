import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'جِد الأزواج',
  choose: 'جِد الأزواج',
  put: '{left} مع {right}',
  partners: 'اختر لكل سطر ما يناسبه',
  chosen: 'مختار',
  choose_one: 'اختر…',
  caption: 'كم ربط كل سطر من العمود الأول بكل سطر من العمود الثاني',
  partner_of: 'ما يناسب الرقم {number}',
} satisfies Words<typeof en>
