import type { Words } from '@/words'
import type en from './en'

export default {
  hint: 'Eins nach dem anderen kommt in die Gruppe, in die es gehört.',
} satisfies Words<typeof en>
