import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'schieb den Regler',
  choose: 'Schieb den Regler',
  less: 'Einen Schritt weniger',
  more: 'Einen Schritt mehr',
  your_number: 'Deine Zahl, von {low} bis {high}',
  middle_half: 'Die mittlere Antwort ist {middle}; die mittlere Hälfte liegt zwischen {low} und {high}.',
} satisfies Words<typeof en>
