import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'كلمات متقاطعة',
  answers: 'كل سؤال دليل، وإجابته الصحيحة كلمة في الشبكة.',
  letters: 'بعد أن تجيب تظهر الحروف في شبكتك وتساعدك في الكلمات التي تتقاطع معها.',
  alone: 'كل واحد يملأ شبكته. والترتيب حر.',
  together: 'ما يصيبه أي أحد يظهر في شبكة الجميع. والترتيب حر.',
  wins: 'الأول من لديه أكبر عدد من الكلمات الصحيحة.',
  wins_together: 'تنجحون حين تكتمل كل الكلمات.',
  grid: 'الكلمات المتقاطعة',
  across: '{number} أفقي',
  down: '{number} عمودي',
  clue: '{place}، {length}',
  letters_n: {
    zero: '{n} حرف',
    one: 'حرف واحد',
    two: 'حرفان',
    few: '{n} أحرف',
    many: '{n} حرفًا',
    other: '{n} حرف',
  },
  is_open: '{clue}: {pattern}',
  is_right: '{clue}: {pattern}، صحيحة',
  is_missed: '{clue}: {pattern}، خاطئة',
  is_together: '{clue}: {pattern}، حلّها أحدهم',
  blank: 'فارغ',
  right_of: 'الكلمات الصحيحة: {right} من {words}',
  have_it: '{clue}: لدى {right} من {players}',
} satisfies Words<typeof en>
