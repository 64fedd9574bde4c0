import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'معلومات',
} satisfies Words<typeof en>
