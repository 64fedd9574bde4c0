import type { Words } from '@/words'
import type en from './en'

export default {
  option: 'Antwortmöglichkeit',
  points_to_share_out: 'Punkte zum Verteilen',
  label: 'Punkte verteilen',
  hint: 'eine Summe wird auf Antworten verteilt',
} satisfies Words<typeof en>
