import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'اكتب بكلماتك',
  choose: 'اكتب إجابتك',
  invite: 'اكتب بكلماتك.',
  characters_left: 'بقي {left} من {of} حرف',
  answers: {
    zero: 'لا إجابات: {texts}',
    one: 'إجابة واحدة: {texts}',
    two: 'إجابتان: {texts}',
    few: '{n} إجابات: {texts}',
    many: '{n} إجابة: {texts}',
    other: '{n} إجابة: {texts}',
  },
} satisfies Words<typeof en>
