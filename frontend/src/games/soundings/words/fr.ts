import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Sondages en mer',
  far_out:
    'Les questions sont le long de chenaux qui mènent au large\u00a0: plus c’est loin, plus il y a de brasses.',
  chooses: 'L’équipe dont c’est le tour choisit jusqu’où elle ose aller. Tout le monde répond.',
  first_signals: 'Qui donne le premier signal passe en premier, avec toute son équipe. Tout le monde répond.',
  half: 'Si au moins la moitié des réponses de ton équipe sont justes, le sondage est à vous\u00a0; sinon, il va à la meilleure des autres.',
  in_the_room: 'Ce que sait ton équipe lui donne le sondage\u00a0; sinon, les autres peuvent essayer.',
  wins: 'En tête\u00a0: l’équipe qui a sondé le plus de brasses.',
  open_water: 'Eaux libres',
  fathoms: { one: '{n} brasse', many: '{n} brasses', other: '{n} brasses' },
  you_choose: 'Ton équipe choisit',
  team_chooses: 'L’équipe {name} choisit.',
  course_set: 'Ton équipe a choisi.',
  comes_first: 'L’équipe {name} passe en premier.',
  you_first: 'Ton équipe passe en premier.',
  signal: 'Donner le signal',
  who_signals: 'Qui donne le premier signal\u00a0?',
  all_charted: 'Tous les sondages sont pris.',
  sounding: '{channel}, {fathoms}',
  is_free: '{sounding}\u00a0: libre',
  is_on: '{sounding}\u00a0: posé maintenant',
  is_lost: '{sounding}\u00a0: à personne',
  is_taken: '{sounding}\u00a0: équipe {name}',
} satisfies Words<typeof en>
