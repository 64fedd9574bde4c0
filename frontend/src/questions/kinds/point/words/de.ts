import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'zeig auf das Bild',
  choose: 'Zeig auf das Bild',
  invite: 'Zeig auf das Bild.',
  send_named: '„{name}“ senden',
  send_place: 'Diese Stelle senden',
  points: { one: '{n} Punkt', other: '{n} Punkte' },
  elsewhere: 'anderswo',
  an_area: 'eine Fläche',
  area_of: 'Fläche {number}',
  area_lit: 'die Fläche im Licht',
  left: 'Marke nach links',
  up: 'Marke nach oben',
  down: 'Marke nach unten',
  right: 'Marke nach rechts',
  move_mark: 'Marke bewegen',
  mark_at: 'Die Marke ist {across} % von links und {down} % von oben.',
  press: 'Tippe auf das Bild.',
  by_name: 'Oder wähle nach dem Namen',
} satisfies Words<typeof en>
