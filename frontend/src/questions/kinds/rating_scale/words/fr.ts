import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'note chaque affirmation',
  choose: 'Note les affirmations',
  rated: {
    one: '{line} : moyenne {mean}, dispersion {spread}, {n} note',
    many: '{line} : moyenne {mean}, dispersion {spread}, {n} de notes',
    other: '{line} : moyenne {mean}, dispersion {spread}, {n} notes',
  },
  rated_once: '{line} : {mean}, une note',
} satisfies Words<typeof en>
