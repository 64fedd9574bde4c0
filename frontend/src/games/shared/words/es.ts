import type { Words } from '@/words'
import type en from './en'

export default {
  more_share: {
    one: '{n} más comparte el puesto {place}.',
    many: '{n} más comparten el puesto {place}.',
    other: '{n} más comparten el puesto {place}.',
  },
} satisfies Words<typeof en>
