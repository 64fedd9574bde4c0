import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'montre sur l’image',
  choose: 'Montre sur l’image',
  invite: 'Montre sur l’image.',
  send_named: 'Envoyer «\u00a0{name}\u00a0»',
  send_place: 'Envoyer cet endroit',
  points: { one: '{n} point', many: '{n} de points', other: '{n} points' },
  elsewhere: 'ailleurs',
  an_area: 'une zone',
  area_of: 'zone {number}',
  area_lit: 'la zone dans la lumière',
  left: 'Déplacer la marque à gauche',
  up: 'Déplacer la marque vers le haut',
  down: 'Déplacer la marque vers le bas',
  right: 'Déplacer la marque à droite',
  move_mark: 'Déplacer la marque',
  mark_at: 'La marque est à {across}\u00a0% de la gauche et {down}\u00a0% du haut.',
  press: 'Appuie sur l’image.',
  by_name: 'Ou choisis par le nom',
} satisfies Words<typeof en>
