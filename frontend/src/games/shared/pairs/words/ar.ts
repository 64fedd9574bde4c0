import type { Words } from '@/words'
import type en from './en'

export default {
  found_of: 'وُجد {found} من {pairs}',
  belong: '{left} و{right} متلازمان.',
  apart: '{left} و{right} ليسا متلازمين.',
  first_try: '{right} صحيحة من أول محاولة',
  board: 'اللوح {number}: وُجد {found} من {all}، وأتمّه {finished}',
  finished: 'أتمّه {finished} من {players}',
  picture: 'صورة {number}',
  sound: 'صوت {number}',
  film: 'فيلم {number}',
  touch_to_hear: 'المس صوتًا لسماعه.',
  turn_of: 'الدور الآن: {name}.',
  all_found: 'وُجد كل شيء.',
} satisfies Words<typeof en>
