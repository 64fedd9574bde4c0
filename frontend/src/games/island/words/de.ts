import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Um die Insel',
  rolls: 'Das Team, das dran ist, würfelt auf einem Handy. Dann antworten alle.',
  rolls_in_room: 'Für das Team, das dran ist, wird gewürfelt. Es antwortet laut.',
  goes_on:
    'Weiß es die Hälfte, fährt ihr Boot so weit wie gewürfelt. Jedes andere Team, das es weiß, fährt eine Bucht weiter.',
  events:
    'Eine Strömung trägt weiter, eine Untiefe wirft zurück, am Leuchtturm wird noch einmal gewürfelt, im Nebel setzt man aus.',
  no_events: 'In jeder Bucht ist es ruhig: Weiter bringt euch nur, was ihr wisst.',
  wins: 'Vorn ist das Team, das zuerst herum ist, sonst das weiteste.',
  bay_of: 'Bucht {bay} von {bays}',
  boat_at: 'Team {name}: Bucht {bay} von {bays}',
  you_roll: 'Dein Team würfelt',
  roll: 'Würfeln',
  team_rolls: 'Team {name} würfelt.',
  has_rolled: 'Team {name} hat eine {n} gewürfelt.',
  went_on: 'Team {name} fährt {n} weiter.',
  stays: 'Team {name} bleibt, wo es ist.',
  met_current: 'Eine Strömung trägt es 2 Buchten weiter.',
  met_shoal: 'Eine Untiefe wirft es 2 Buchten zurück.',
  met_lighthouse: 'Am Leuchtturm würfelt es noch einmal.',
  met_fog: 'Im Nebel setzt es einmal aus.',
  round: 'Um die Insel herum!',
  is_over: 'Ein Boot ist um die Insel herum.',
  no_more: 'Es gibt keine Fragen mehr.',
  waits: 'setzt aus',
} satisfies Words<typeof en>
