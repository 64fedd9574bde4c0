import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'حرّك المنزلق',
  choose: 'حرّك المنزلق',
  less: 'خطوة أقل',
  more: 'خطوة أكثر',
  your_number: 'عددك، من {low} إلى {high}',
  middle_half: 'الإجابة الوسطى {middle}؛ والنصف الأوسط بين {low} و{high}.',
} satisfies Words<typeof en>
