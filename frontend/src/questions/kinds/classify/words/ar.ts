import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'ضع كل واحد في مجموعة',
  choose: 'ضع كل واحد في مجموعة',
  put: '{line} في {group}',
  caption: 'كم وضع كل سطر في كل مجموعة',
} satisfies Words<typeof en>
