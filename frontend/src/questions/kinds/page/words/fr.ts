import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'information',
} satisfies Words<typeof en>
