import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'وزّع {total} نقطة',
  choose: 'وزّع النقاط كلها، وعددها {total}',
  invite: 'وزّع {total} نقطة.',
  left_to_share: 'من {total} نقطة بقي للتوزيع',
  fewer: 'أقل لـ {line}',
  more: 'أكثر لـ {line}',
  mean: '{line}: المتوسط {mean}',
  mean_points: 'متوسط النقاط من {total}.',
} satisfies Words<typeof en>
