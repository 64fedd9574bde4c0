/** How students can be known in a session, in words. */
import type { Settings } from '@/api/types'

export type Known = Settings['known']

export const KNOWN: Record<Known, { label: string; hint: string }> = {
  nobody: { label: 'a number alone', hint: 'Nobody is asked for a name. Everyone is a guest with a number.' },
  nickname: { label: 'a name they type', hint: 'Their own, or one they think of.' },
  made_up: {
    label: 'a name made for them',
    hint: 'Two gentle words, as “Curious Heron”. One tap for another; no two the same.',
  },
  list: {
    label: 'their name in the class list',
    hint: 'Each picks their own, or types a pass phrase where the class has them. Results add up.',
  },
  record_id: {
    label: 'a record ID',
    hint: 'The school’s number or e-mail, and a name for the others. Only reports show the ID.',
  },
}
