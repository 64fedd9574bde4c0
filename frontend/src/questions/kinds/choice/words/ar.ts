import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'اختر واحدة',
  sort_several: 'اختر كل الإجابات الصحيحة',
  sort_true_false: 'صح أم خطأ',
  choose: 'اختر إجابة',
} satisfies Words<typeof en>
