import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Zwei Hälften',
  join: 'Alles liegt in zwei Hälften da. Tippe eine an, dann die, die zu ihr gehört.',
  lights: 'Was zusammengehört, fügt sich, und sein Licht geht an.',
  first: 'Bei jedem zählt der erste Versuch. Lass dir Zeit.',
  wins: 'Vorn ist, wer beim ersten Versuch am meisten zusammengefügt hat.',
  halves: 'Hälften',
  others: 'Ihre anderen Hälften',
  joined: 'Zusammengefügt',
} satisfies Words<typeof en>
