import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Bakenlauf',
  each_answers: 'Alle in deinem Team antworten.',
  lights: 'Richtige Antworten zünden die nächsten Baken eurer Kette an; falsche löschen keine.',
  mean: 'Es zählt der Mittelwert im Team: Kleine und große Teams sind gleich.',
  wins_first: 'Vorn ist das Team, dessen Kette zuerst bis zum Ende leuchtet.',
  wins_furthest: 'Vorn ist das Team, dessen Kette am Ende am weitesten leuchtet.',
  lit: '{lit} von {length} leuchten',
  light_of: 'Team {name}: {lit} von {length} Baken leuchten.',
  at_the_end: 'Am Ende der Kette!',
  your_light: 'Deine Antworten haben {light} davon angezündet.',
} satisfies Words<typeof en>
