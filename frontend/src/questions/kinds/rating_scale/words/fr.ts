import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'note chaque affirmation',
  choose: 'Note les affirmations',
  rated: {
    one: '{line}\u00a0: moyenne {mean}, dispersion {spread}, {n} note',
    many: '{line}\u00a0: moyenne {mean}, dispersion {spread}, {n} de notes',
    other: '{line}\u00a0: moyenne {mean}, dispersion {spread}, {n} notes',
  },
  rated_once: '{line}\u00a0: {mean}, une note',
} satisfies Words<typeof en>
