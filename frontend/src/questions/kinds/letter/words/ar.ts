import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'اختر حرفًا',
  choose: 'اختر حرفًا',
} satisfies Words<typeof en>
