import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Le coffre de bord',
  draw_one: 'L’équipe dont c’est le tour tire une carte du coffre.',
  talk: 'Parlez-en d’abord. Puis l’un de vous dit à voix haute ce que vous avez trouvé.',
  worth: 'Ton enseignant dit ce que cela valait\u00a0: 2 perles, 1 ou aucune.',
  wins: 'En tête\u00a0: l’équipe qui a le plus de perles quand le coffre est vide.',
  pearls: { one: '{n} perle', many: '{n} perles', other: '{n} perles' },
  left: {
    one: '{n} carte dans le coffre',
    many: '{n} cartes dans le coffre',
    other: '{n} cartes dans le coffre',
  },
  empty: 'Le coffre est vide.',
  team_draws: 'L’équipe {name} tire une carte.',
  has_drawn: 'L’équipe {name} a tiré cette carte.',
  you_draw: 'À ton équipe de tirer',
  draw: 'Tirer une carte',
  talk_now: 'Parlez-en dans l’équipe.',
  team_has: 'Équipe {name}\u00a0: {n}',
} satisfies Words<typeof en>
