import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'wähle einen Buchstaben',
  choose: 'Wähle einen Buchstaben',
} satisfies Words<typeof en>
