import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'أرسل كلمة',
  sort_up_to: 'أرسل كلمات ({most} على الأكثر)',
  choose: 'اكتب كلمة',
  send: {
    zero: 'أرسل',
    one: 'أرسل كلمة واحدة',
    two: 'أرسل كلمتين',
    few: 'أرسل {n} كلمات',
    many: 'أرسل {n} كلمة',
    other: 'أرسل {n} كلمة',
  },
  your_word: 'كلمتك',
  up_to: 'كلمات ({most} على الأكثر)',
  word: 'الكلمة {number}',
  invite_one: 'أرسل كلمة.',
  invite_up_to: 'أرسل كلمات ({most} على الأكثر).',
  counted_as_one: 'حُسبت كلمة واحدة: {words}',
  your_words: 'كلماتك: {words}',
} satisfies Words<typeof en>
