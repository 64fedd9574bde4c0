import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'bring in die richtige Reihenfolge',
  sort_rank: 'bring in deine Reihenfolge',
  choose: 'Bring sie in eine Reihenfolge',
  send: 'Diese Reihenfolge senden',
  mean_place: '{line}: mittlerer Platz {place}',
  moved: '{line}: Platz {place} von {of}',
  move_up: '{line} nach oben',
  move_down: '{line} nach unten',
  right_as_is: 'Es stimmt schon so',
  liked_as_is: 'So gefällt es mir',
  your_place: 'deiner: Platz {place}',
  right_order: 'Das ist die richtige Reihenfolge.',
  bars: 'Jeder Balken zeigt, wie viele die Zeile an ihrem Platz hatten.',
  mean_at_end: 'Die Zahl am Ende ist der mittlere Platz.',
} satisfies Words<typeof en>
