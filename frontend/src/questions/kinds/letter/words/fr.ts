import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'choisis une lettre',
  choose: 'Choisis une lettre',
} satisfies Words<typeof en>
