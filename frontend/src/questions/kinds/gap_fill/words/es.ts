import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'completa los huecos',
  choose: 'Completa los huecos',
  gap: 'Hueco {number}',
  gap_holds: 'hueco {number}: {words}',
  nothing: 'nada',
  words: 'Palabras',
} satisfies Words<typeof en>
