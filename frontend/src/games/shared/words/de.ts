import type { Words } from '@/words'
import type en from './en'

export default {
  more_share: {
    one: '{n} weitere Person ist auf Platz {place}.',
    other: '{n} weitere teilen sich Platz {place}.',
  },
} satisfies Words<typeof en>
