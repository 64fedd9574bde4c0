import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'pon cada uno en un grupo',
  choose: 'Pon cada uno en un grupo',
  put: '{line} en {group}',
  caption: 'Cuántos pusieron cada línea en cada grupo',
} satisfies Words<typeof en>
