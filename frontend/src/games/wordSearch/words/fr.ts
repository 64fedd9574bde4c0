import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Mots mêlés',
  hidden: 'Des mots sont cachés parmi les lettres. En dessous, un indice pour chacun.',
  touch: 'Touche la première lettre d’un mot, puis la dernière.',
  costs_nothing: 'Marquer autre chose ne coûte rien. Prends ton temps.',
  wins: 'En tête\u00a0: qui en a trouvé le plus.',
  grid: 'Lettres',
  letter_at: '{letter}, ligne {row}, colonne {column}',
  clues: 'Encore cachés',
  found: 'Trouvés',
  it_is: 'Trouvé\u00a0: {word}.',
  no_word: 'Pas un des mots\u00a0: {letters}.',
  no_line: 'Un mot suit une ligne droite\u00a0: horizontale, verticale ou diagonale.',
  from_here: 'À partir de {letter}. Touche la dernière lettre.',
  n_found: { one: '{n} mot trouvé', many: '{n} mots trouvés', other: '{n} mots trouvés' },
} satisfies Words<typeof en>
