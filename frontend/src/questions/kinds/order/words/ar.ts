import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'رتّبها',
  sort_rank: 'رتّبها حسب رأيك',
  choose: 'رتّبها',
  send: 'أرسل هذا الترتيب',
  mean_place: '{line}: متوسط المرتبة {place}',
  moved: '{line}: المرتبة {place} من {of}',
  move_up: 'انقل {line} إلى أعلى',
  move_down: 'انقل {line} إلى أسفل',
  right_as_is: 'الترتيب صحيح كما هو',
  liked_as_is: 'يعجبني كما هو',
  your_place: 'مرتبتك: {place}',
  right_order: 'هذا هو الترتيب الصحيح.',
  bars: 'يُظهر كل شريط كم وضعوا السطر في مكانه.',
  mean_at_end: 'الرقم في النهاية هو متوسط المرتبة.',
} satisfies Words<typeof en>
