import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'розстав за порядком',
  sort_rank: 'розстав за вподобанням',
  choose: 'Розстав їх',
  send: 'Надіслати цей порядок',
  mean_place: '{line}: середнє місце {place}',
  moved: '{line}: місце {place} з {of}',
  move_up: 'Підняти {line}',
  move_down: 'Опустити {line}',
  right_as_is: 'Усе вже правильно',
  liked_as_is: 'Мені так подобається',
  your_place: 'у тебе: місце {place}',
  right_order: 'Ось правильний порядок.',
  bars: 'Кожна смужка показує, у скількох рядок був на своєму місці.',
  mean_at_end: 'Число в кінці — середнє місце.',
} satisfies Words<typeof en>
