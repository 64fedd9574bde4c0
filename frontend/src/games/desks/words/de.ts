import type { Words } from '@/words'
import type en from './en'

export default {
  drawn_as_they_come_in: 'nach der Reihe des Beitretens ausgelost',
  chosen_by_the_players: 'von den Spielenden gewählt',
  the_groups_of_the_class_list: 'die Gruppen der Klassenliste',
  balanced_by_earlier_marks: 'ausgeglichen nach früheren Bewertungen',
  one_for_each_shared_device: 'eines je gemeinsames Gerät',
  each_device_is_a_team:
    'Jedes Gerät ist ein Team, höchstens {most}. Wer beitritt, tippt die Namen aller ein, die daran sitzen; Auswertungen zeigen sie.',
  for_this_students:
    'Dafür müssen Lernende durch ihren Namen in der Klassenliste oder eine Kennung bekannt sein: siehe „Wer teilnimmt“.',
  a_group_is_what_the_class:
    'Eine Gruppe ist, was die Klassenliste von jedem Mitglied sagt. Wer keine hat, kommt ins kleinste Team.',
  they_are_made_when_it_starts:
    'Sie entstehen zu Beginn, nach dem Mittel der Bewertungen aus den letzten zehn Runden dieser Klasse. Niemand erfährt es.',
  teams_are: 'Teams sind',
  how_many: 'Wie viele',
  for: '{unit} für {team}',
  on_one_board: '{what} auf einem Brett.',
  on_boards: '{what} auf {played} Brettern.',
  what_is_tried_first: 'Was zuerst versucht wird, ist die Antwort und zählt in Auswertungen.',
  on_shared_devices:
    'An gemeinsamen Geräten, etwa an einer großen Tafel: Wer beitritt, nennt alle, die daran spielen',
  whose_turn_it_is: 'Wer an der Reihe ist',
} satisfies Words<typeof en>
