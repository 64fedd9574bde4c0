import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Mots croisés',
  answers: 'Chaque question est une définition, et sa bonne réponse un mot de la grille.',
  letters:
    'Une fois que tu as répondu, les lettres sont dans ta grille et t’aident pour les mots qui les croisent.',
  alone: 'Chacun remplit sa propre grille. L’ordre est libre.',
  together: 'Ce que quelqu’un a trouvé est dans la grille de tous. L’ordre est libre.',
  wins: 'En tête\u00a0: qui a le plus de mots justes.',
  wins_together: 'C’est gagné quand tous les mots y sont.',
  grid: 'La grille',
  across: '{number} horizontalement',
  down: '{number} verticalement',
  clue: '{place}, {length}',
  letters_n: { one: '{n} lettre', many: '{n} lettres', other: '{n} lettres' },
  is_open: '{clue}\u00a0: {pattern}',
  is_right: '{clue}\u00a0: {pattern}, juste',
  is_missed: '{clue}\u00a0: {pattern}, manqué',
  is_together: '{clue}\u00a0: {pattern}, trouvé par quelqu’un',
  blank: 'vide',
  right_of: '{right} mots justes sur {words}',
  have_it: '{clue}\u00a0: {right} sur {players} l’ont',
} satisfies Words<typeof en>
