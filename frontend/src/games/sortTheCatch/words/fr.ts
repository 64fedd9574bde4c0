import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Trier la pêche',
  hook: 'L’un après l’autre pend au crochet. Mets-le dans la caisse où il va.',
  comes_back: 'Ce qui va dans une mauvaise caisse revient au crochet.',
  first: 'Pour chacun, c’est le premier essai qui compte. Prends ton temps.',
  wins: 'En tête\u00a0: qui en a trié le plus du premier coup.',
  crates: 'Caisses',
  on_hook: 'Au crochet',
  later: 'D’abord un autre',
  not_in: '{text} ne va pas dans {group}.',
  goes_in: '{text} va dans {group}.',
  in_crates: '{found} sur {pairs} dans leur caisse',
  inside: '{n} dedans',
} satisfies Words<typeof en>
