import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Seekiste',
  draw_one: 'Das Team, das dran ist, zieht eine Karte aus der Kiste.',
  talk: 'Sprecht erst darüber. Dann sagt jemand von euch laut, was ihr gefunden habt.',
  worth: 'Die Lehrkraft sagt, was das wert war: 2 Perlen, 1 oder keine.',
  wins: 'Vorn ist das Team mit den meisten Perlen, wenn die Kiste leer ist.',
  pearls: { one: '{n} Perle', other: '{n} Perlen' },
  left: { one: '{n} Karte in der Kiste', other: '{n} Karten in der Kiste' },
  empty: 'Die Kiste ist leer.',
  team_draws: 'Team {name} zieht.',
  has_drawn: 'Team {name} hat diese Karte gezogen.',
  you_draw: 'Dein Team zieht',
  draw: 'Karte ziehen',
  talk_now: 'Sprecht im Team darüber.',
  team_has: 'Team {name}: {n}',
} satisfies Words<typeof en>
