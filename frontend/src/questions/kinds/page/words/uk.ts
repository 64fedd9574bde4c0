import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'інформація',
} satisfies Words<typeof en>
