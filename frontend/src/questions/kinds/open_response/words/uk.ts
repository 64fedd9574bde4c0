import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'напиши своїми словами',
  choose: 'Напиши відповідь',
  invite: 'Напиши своїми словами.',
  characters_left: 'залишилося {left} з {of} знаків',
  answers: {
    one: '{n} відповідь: {texts}',
    few: '{n} відповіді: {texts}',
    many: '{n} відповідей: {texts}',
    other: '{n} відповіді: {texts}',
  },
} satisfies Words<typeof en>
