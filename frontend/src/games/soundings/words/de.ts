import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Lotungen',
  far_out: 'Die Fragen liegen an Fahrrinnen, die aufs Meer führen: je weiter draußen, desto mehr Faden.',
  chooses: 'Das Team, das dran ist, wählt, wie weit es sich hinauswagt. Alle antworten.',
  first_signals: 'Wer zuerst ein Signal gibt, kommt mit dem ganzen Team zuerst dran. Alle antworten.',
  half: 'Sind mindestens die Hälfte der Antworten in deinem Team richtig, gehört euch die Lotung; sonst bekommt sie das beste andere Team.',
  in_the_room: 'Was euer Team weiß, bringt euch die Lotung; sonst dürfen die anderen.',
  wins: 'Vorn ist das Team, das die meisten Faden gelotet hat.',
  open_water: 'Offenes Wasser',
  fathoms: { one: '{n} Faden', other: '{n} Faden' },
  you_choose: 'Dein Team wählt',
  team_chooses: 'Team {name} wählt.',
  course_set: 'Dein Team hat gewählt.',
  comes_first: 'Team {name} ist zuerst dran.',
  you_first: 'Dein Team ist zuerst dran.',
  signal: 'Signal geben',
  who_signals: 'Wer gibt zuerst ein Signal?',
  all_charted: 'Alle Lotungen sind vergeben.',
  sounding: '{channel}, {fathoms}',
  is_free: '{sounding}: frei',
  is_on: '{sounding}: jetzt gefragt',
  is_lost: '{sounding}: an niemanden gegangen',
  is_taken: '{sounding}: Team {name}',
} satisfies Words<typeof en>
