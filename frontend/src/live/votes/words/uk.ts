import type { Words } from '@/words'
import type en from './en'

export default {
  first_vote: 'Перше голосування',
  second_vote: 'Друге голосування',
  right_before_after: 'До того правильно {before}, після — {after}.',
  gained: 'Здобуто з можливого: {share}.',
  changed: {
    one: 'Відповідь змінили {changed} з {n}, хто голосував двічі.',
    few: 'Відповідь змінили {changed} з {n}, хто голосував двічі.',
    many: 'Відповідь змінили {changed} з {n}, хто голосував двічі.',
    other: 'Відповідь змінили {changed} з {n}, хто голосував двічі.',
  },
  to: 'на',
} satisfies Words<typeof en>
