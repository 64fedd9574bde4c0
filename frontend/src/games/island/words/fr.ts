import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Le tour de l’île',
  rolls: 'L’équipe dont c’est le tour lance le dé sur un téléphone. Puis tout le monde répond.',
  rolls_in_room: 'On lance le dé pour l’équipe dont c’est le tour. Elle répond à voix haute.',
  goes_on:
    'Si la moitié connaît la réponse, son bateau avance du nombre lancé. Toute autre équipe qui la connaît avance d’une baie.',
  events:
    'Un courant porte plus loin, un haut-fond fait reculer, au phare on relance, dans la brume on passe un tour.',
  no_events: 'Toutes les baies sont calmes\u00a0: seul ce que vous savez vous fait avancer.',
  wins: 'En tête\u00a0: l’équipe qui a fait le tour la première, sinon la plus avancée.',
  bay_of: 'Baie {bay} sur {bays}',
  boat_at: 'Équipe {name}\u00a0: baie {bay} sur {bays}',
  you_roll: 'Ton équipe lance le dé',
  roll: 'Lancer',
  team_rolls: 'L’équipe {name} lance le dé.',
  has_rolled: 'L’équipe {name} a fait {n}.',
  went_on: 'L’équipe {name} avance de {n}.',
  stays: 'L’équipe {name} reste où elle est.',
  met_current: 'Un courant la porte 2 baies plus loin.',
  met_shoal: 'Un haut-fond la fait reculer de 2 baies.',
  met_lighthouse: 'Au phare, elle relance le dé.',
  met_fog: 'Dans la brume, elle passera un tour.',
  round: 'Le tour est fait\u00a0!',
  is_over: 'Un bateau a fait le tour de l’île.',
  no_more: 'Il n’y a plus de questions.',
  waits: 'passe un tour',
} satisfies Words<typeof en>
