import type { Words } from '@/words'
import type en from './en'

export default {
  first_vote: 'Erste Abstimmung',
  second_vote: 'Zweite Abstimmung',
  right_before_after: 'Davor {before} richtig, danach {after}.',
  gained: 'Vom Möglichen gewonnen: {share}.',
  changed: {
    one: '{changed} von {n}, die zweimal abgestimmt haben, hat die Antwort geändert.',
    other: '{changed} von {n}, die zweimal abgestimmt haben, haben die Antwort geändert.',
  },
  to: 'zu',
} satisfies Words<typeof en>
