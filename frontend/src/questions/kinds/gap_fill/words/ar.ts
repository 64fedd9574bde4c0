import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'املأ الفراغات',
  choose: 'املأ الفراغات',
  gap: 'الفراغ {number}',
  gap_holds: 'الفراغ {number}: {words}',
  nothing: 'لا شيء',
  words: 'الكلمات',
} satisfies Words<typeof en>
