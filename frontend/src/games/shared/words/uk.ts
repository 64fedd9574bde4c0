import type { Words } from '@/words'
import type en from './en'

export default {
  more_share: {
    one: 'Ще {n} на місці {place}.',
    few: 'Ще {n} на місці {place}.',
    many: 'Ще {n} на місці {place}.',
    other: 'Ще {n} на місці {place}.',
  },
} satisfies Words<typeof en>
