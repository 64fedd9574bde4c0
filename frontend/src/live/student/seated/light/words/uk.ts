import type { Words } from '@/words'
import type en from './en'

export default {
  your_light: 'Твій ліхтар',
  change: 'Змінити ліхтар',
  loading: 'Хвилинку…',
  which_part: 'Яка частина',
  draw_one: 'Дібрати навмання',
  how_earned:
    'Мушлі дають за відповіді, правильні чи ні, за поступ і за допомогу команді. Жодна не пропадає.',
  for_now: 'Цей ліхтар лише на цей сеанс.',
  take: 'Узяти цей ліхтар',
  leave_it: 'Лишити як було',
  next_time: 'Він буде твій з наступного сеансу.',
  shells: { one: '{n} мушля', few: '{n} мушлі', many: '{n} мушель', other: '{n} мушлі' },
  you_have: {
    one: 'У тебе {n} мушля.',
    few: 'У тебе {n} мушлі.',
    many: 'У тебе {n} мушель.',
    other: 'У тебе {n} мушлі.',
  },
  earned: {
    one: 'За цей сеанс — {n} мушля.',
    few: 'За цей сеанс — {n} мушлі.',
    many: 'За цей сеанс — {n} мушель.',
    other: 'За цей сеанс — {n} мушлі.',
  },
  take_for: {
    one: 'Узяти за {n} мушлю',
    few: 'Узяти за {n} мушлі',
    many: 'Узяти за {n} мушель',
    other: 'Узяти за {n} мушлі',
  },
  more_wanted: {
    one: 'Бракує {n} мушлі.',
    few: 'Бракує {n} мушель.',
    many: 'Бракує {n} мушель.',
    other: 'Бракує {n} мушлі.',
  },
} satisfies Words<typeof en>
