import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'complète les trous',
  choose: 'Complète les trous',
  gap: 'Trou {number}',
  gap_holds: 'trou {number}\u00a0: {words}',
  nothing: 'rien',
  words: 'Mots',
} satisfies Words<typeof en>
