import type { Words } from '@/words'
import type en from './en'

export default {
  hint: 'Paare liegen getrennt; alle fügen zusammen, was zusammengehört.',
} satisfies Words<typeof en>
