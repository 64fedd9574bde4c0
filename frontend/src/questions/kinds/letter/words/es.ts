import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'elige una letra',
  choose: 'Elige una letra',
} satisfies Words<typeof en>
