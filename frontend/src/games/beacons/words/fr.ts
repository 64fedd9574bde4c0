import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Course des balises',
  each_answers: 'Tout le monde répond dans ton équipe.',
  lights:
    'Les bonnes réponses allument les balises suivantes de votre chaîne\u00a0; les fausses n’en éteignent aucune.',
  mean: 'C’est la moyenne de l’équipe qui compte\u00a0: petites et grandes équipes sont à égalité.',
  wins_first: 'En tête\u00a0: l’équipe dont la chaîne est allumée jusqu’au bout la première.',
  wins_furthest: 'En tête\u00a0: l’équipe dont la chaîne est allumée le plus loin à la fin.',
  lit: '{lit} sur {length} allumées',
  light_of: 'Équipe {name}\u00a0: {lit} balises sur {length} allumées.',
  at_the_end: 'Au bout de la chaîne\u00a0!',
  your_light: 'Tes réponses en ont allumé {light}.',
} satisfies Words<typeof en>
