import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'bewerte jede Aussage',
  choose: 'Bewerte die Aussagen',
  rated: {
    one: '{line}: Mittel {mean}, Streuung {spread}, {n} Bewertung',
    other: '{line}: Mittel {mean}, Streuung {spread}, {n} Bewertungen',
  },
  rated_once: '{line}: {mean}, eine Bewertung',
} satisfies Words<typeof en>
