import type { Words } from '@/words'
import type en from './en'

export default {
  video: 'فيديو',
  sound: 'صوت',
  captions: 'ترجمة نصية',
  hide_text: 'أخفِ النص',
  read_instead: 'اقرأه بدلًا من ذلك',
} satisfies Words<typeof en>
