import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'أشر إلى الصورة',
  choose: 'أشر إلى الصورة',
  invite: 'أشر إلى الصورة.',
  send_named: 'أرسل «{name}»',
  send_place: 'أرسل هذا الموضع',
  points: {
    zero: 'لا نقاط',
    one: 'نقطة واحدة',
    two: 'نقطتان',
    few: '{n} نقاط',
    many: '{n} نقطة',
    other: '{n} نقطة',
  },
  elsewhere: 'في مكان آخر',
  an_area: 'منطقة',
  area_of: 'المنطقة {number}',
  area_lit: 'المنطقة في الضوء',
  left: 'حرّك العلامة إلى اليسار',
  up: 'حرّك العلامة إلى أعلى',
  down: 'حرّك العلامة إلى أسفل',
  right: 'حرّك العلامة إلى اليمين',
  move_mark: 'حرّك العلامة',
  mark_at: 'العلامة على بعد {across} % من اليسار و{down} % من الأعلى.',
  press: 'اضغط على الصورة.',
  by_name: 'أو اختره باسمه',
} satisfies Words<typeof en>
