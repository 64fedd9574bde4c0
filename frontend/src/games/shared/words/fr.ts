import type { Words } from '@/words'
import type en from './en'

export default {
  more_share: {
    one: '{n} autre partage la place {place}.',
    many: '{n} autres partagent la place {place}.',
    other: '{n} autres partagent la place {place}.',
  },
} satisfies Words<typeof en>
