import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Volets',
  open_two: 'Derrière chaque volet se trouve la moitié d’une paire. Ouvres-en deux.',
  stay: 'S’ils vont ensemble, ils restent ouverts. Sinon, retiens ce que tu as vu.',
  counts: 'Une erreur ne compte que si tu avais déjà vu le bon.',
  wins: 'En tête\u00a0: qui en a trouvé le plus sans cette erreur.',
  house: 'Volets de la maison',
  shut: 'Volet {number}, fermé',
  is_open: 'Volet {number}\u00a0: {text}',
  is_found: 'Volet {number}\u00a0: {text}, trouvé',
} satisfies Words<typeof en>
