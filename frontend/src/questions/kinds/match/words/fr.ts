import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'trouve les paires',
  choose: 'Trouve les paires',
  put: '{left} avec {right}',
  partners: 'Choisis ce qui va avec chaque ligne',
  chosen: 'choisi',
  choose_one: 'choisir…',
  caption: 'Combien ont associé chaque ligne de gauche à chaque ligne de droite',
  partner_of: 'Ce qui va avec le numéro {number}',
} satisfies Words<typeof en>
