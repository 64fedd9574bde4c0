import type { Words } from '@/words'
import type en from './en'

export default {
  send: 'أرسل {what}',
  send_of: 'أرسل {count} من {of}',
  send_it: 'أرسل',
  your_answer: 'إجابتك',
  own: 'إجابتك',
  your_answer_is: 'إجابتك: {text}',
  yours: 'إجابتك: {text}',
  right: 'صحيح',
  right_is: 'الصحيح: {text}',
  count_more: 'و{count} غيرها',
  middle_answer: 'الإجابة الوسطى هي {value}.',
  range: 'من {low} إلى {high}',
  underlined: 'ما اخترته تحته خط.',
  underlined_and_lit: 'ما اخترته تحته خط، والصحيح في الضوء.',
  numbers_between: {
    zero: 'لا أعداد بين {low} و{high}',
    one: 'عدد واحد بين {low} و{high}',
    two: 'عددان بين {low} و{high}',
    few: '{n} أعداد بين {low} و{high}',
    many: '{n} عددًا بين {low} و{high}',
    other: '{n} عدد بين {low} و{high}',
  },
  picture_clear: 'الصورة واضحة الآن. توصف عند عرض الإجابة الصحيحة.',
  picture_in_fog: 'صورة في الضباب. تتضح ما دام السؤال مفتوحًا.',
  asked_aloud: 'يُطرح السؤال شفهيًا',
  right_head: 'الصحيح:',
  your_answer_head: 'إجابتك:',
} satisfies Words<typeof en>
