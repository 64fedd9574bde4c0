import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'المصاريع',
  open_two: 'وراء كل مصراع نصفُ زوج. افتح اثنين.',
  stay: 'إن تلازما بقيا مفتوحين، وإلا فتذكّر ما رأيت.',
  counts: 'لا يُحسب الخطأ إلا إذا كنت قد رأيت الصحيح من قبل.',
  wins: 'المتقدّم هو من وجد أكثر بلا خطأ كهذا.',
  house: 'مصاريع البيت',
  shut: 'المصراع {number}، مغلق',
  is_open: 'المصراع {number}: {text}',
  is_found: 'المصراع {number}: {text}، وُجد',
} satisfies Words<typeof en>
