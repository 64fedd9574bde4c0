import type { Words } from '@/words'
import type en from './en'

export default {
  round_the_island: 'Um die Insel',
  has_rolled: '{team} hat {rolled} gewürfelt.',
  space_rolls_for_them_and_asks: 'Die Leertaste würfelt für sie und fragt.',
  on_a_phone: 'Auf einem Handy, oder Sie mit der Leertaste.',
  it_is_over: 'Es ist vorbei.',
  it_is_bays_round_the_island: 'Um die Insel sind es {bays} Buchten.',
  knew_it_on: '{team} wusste es: {rolled} weiter',
  bay: 'Bucht',
  in_the_room_without_devices: 'im Raum, ohne Geräte',
  a_team_knows_the_answer: 'Ein Team weiß die Antwort, wenn die Hälfte sie weiß.',
  bays_round_the_island: 'Buchten um die Insel',
  as_far_as_the_questions_go: 'so weit die Fragen reichen',
  currents_shoals_lighthouses_and_fog: 'Strömungen, Untiefen, Leuchttürme und Nebel auf dem Weg',
  hint: 'Teams würfeln, alle antworten, Boote ziehen weiter. Ein Glücksspiel.',
  rolls: '{team} würfelt.',
} satisfies Words<typeof en>
