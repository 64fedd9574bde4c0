import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'посунь повзунок',
  choose: 'Посунь повзунок',
  less: 'На крок менше',
  more: 'На крок більше',
  your_number: 'Твоє число, від {low} до {high}',
  middle_half: 'Середня за порядком відповідь — {middle}; середня половина — від {low} до {high}.',
} satisfies Words<typeof en>
