import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'fülle die Lücken',
  choose: 'Fülle die Lücken',
  gap: 'Lücke {number}',
  gap_holds: 'Lücke {number}: {words}',
  nothing: 'nichts',
  words: 'Wörter',
} satisfies Words<typeof en>
