import type { Words } from '@/words'
import type en from './en'

export default {
  first_vote: 'التصويت الأول',
  second_vote: 'التصويت الثاني',
  right_before_after: '{before} صحيحة قبل، و{after} بعد.',
  gained: 'المكسب من الممكن: {share}.',
  changed: {
    zero: 'لم يصوّت أحد مرتين؛ غيّر إجابته {changed} من {n}.',
    one: 'من صوّت مرتين واحد؛ غيّر إجابته {changed}.',
    two: 'من صوّت مرتين اثنان؛ غيّر إجابته {changed}.',
    few: 'غيّر إجابته {changed} من {n} صوّتوا مرتين.',
    many: 'غيّر إجابته {changed} من {n} صوّتوا مرتين.',
    other: 'غيّر إجابته {changed} من {n} صوّتوا مرتين.',
  },
  to: 'إلى',
} satisfies Words<typeof en>
