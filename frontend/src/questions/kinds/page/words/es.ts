import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'información',
} satisfies Words<typeof en>
