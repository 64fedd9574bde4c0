import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'wähle eine Antwort',
  sort_several: 'wähle alle richtigen',
  sort_true_false: 'wahr oder falsch',
  choose: 'Wähle eine Antwort',
} satisfies Words<typeof en>
