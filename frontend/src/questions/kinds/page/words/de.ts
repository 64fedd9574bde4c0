import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'Information',
} satisfies Words<typeof en>
