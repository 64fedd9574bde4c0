import type { Words } from '@/words'
import type en from './en'

export default {
  found_of: '{found} sur {pairs} trouvés',
  belong: '{left} et {right} vont ensemble.',
  apart: '{left} et {right} ne vont pas ensemble.',
  first_try: '{right} justes du premier coup',
  board: 'Tableau {number}\u00a0: {found} sur {all} trouvés, {finished} ont tout',
  finished: '{finished} sur {players} ont tout',
  picture: 'Image {number}',
  sound: 'Son {number}',
  film: 'Film {number}',
  touch_to_hear: 'Touche un son pour l’écouter.',
  turn_of: 'C’est à {name}.',
  all_found: 'Tout est trouvé.',
} satisfies Words<typeof en>
