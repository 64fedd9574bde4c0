import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'ordne alles einer Gruppe zu',
  choose: 'Ordne alles zu',
  put: '{line} in {group}',
  caption: 'Wie viele jede Zeile in jede Gruppe gelegt haben',
} satisfies Words<typeof en>
