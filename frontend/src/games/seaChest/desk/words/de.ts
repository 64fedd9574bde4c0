import type { Words } from '@/words'
import type en from './en'

export default {
  the_chest_is_empty: 'Die Kiste ist leer.',
  has_drawn: '{team} hat gezogen.',
  draws: '{team} zieht.',
  sea_chest: 'Seekiste',
  space_draws_for_them: 'Die Leertaste zieht für sie.',
  on_a_phone: 'Auf einem Handy, oder Sie mit der Leertaste.',
  of_cards_in_the_chest: '{left} von {cards} Karten in der Kiste',
  pearls: 'Perlen',
  team: 'Team',
  for_this_card: 'Für diese Karte',
  for_the_last_card: 'Für die letzte Karte',
  of_it_was_right: 'davon war richtig: {team}',
  once_a_card_is_drawn: 'sobald eine Karte gezogen ist',
  in_the_room_without_devices: 'im Raum, ohne Geräte',
  as_chance_has_it: 'wie es der Zufall will',
  in_the_order_of_the_set: 'in der Reihenfolge des Sets',
  teams_answer_aloud_and_you_give: 'Teams antworten laut, und Sie geben ihnen Perlen.',
  cards_come: 'Karten kommen',
  hint: 'Eine Karte ziehen, darüber sprechen, und Sie sagen, was es wert war. Jede Frage passt.',
  none: 'nichts',
  half: 'die Hälfte',
  all: 'alles',
} satisfies Words<typeof en>
