import type { Words } from '@/words'
import type en from './en'

export default {
  scale_from: 'Skala von',
  to: 'bis',
  in_steps_of: 'in Schritten von',
  unit: 'Einheit',
  none: 'keine',
  right_from: 'Richtig von',
  label: 'Schieberegler',
  hint: 'eine Zahl auf einer Skala',
  words_at_the_low_end: 'Worte am unteren Ende',
  words_at_the_high_end: 'Worte am oberen Ende',
} satisfies Words<typeof en>
