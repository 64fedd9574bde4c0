import type { Words } from '@/words'
import type en from './en'

export default {
  left: 'Links {number}',
  left_2: 'links {number}',
  right: 'Rechts {number}',
  remove_pair: 'Paar {number} entfernen',
  pair: '+ Paar',
  on_the_right_with_no_partner: 'Rechts, ohne Gegenstück',
  extra_line: 'Zusätzliche Zeile',
  label: 'Paare',
  hint: 'Paare werden gefunden',
} satisfies Words<typeof en>
