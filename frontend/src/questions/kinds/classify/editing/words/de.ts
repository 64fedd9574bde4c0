import type { Words } from '@/words'
import type en from './en'

export default {
  group: 'Gruppe',
  line: 'Zeile',
  line_belongs_to: 'Zeile {number} gehört zu',
  which_group: 'welcher Gruppe?',
  group_2: 'Gruppe {letter}',
  label: 'Zuordnen zu Gruppen',
  hint: 'Zeilen kommen in Gruppen',
} satisfies Words<typeof en>
