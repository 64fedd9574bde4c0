import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Lumières vives',
  look_up: 'Chaque question est sur le grand écran et ici. Réponds ici.',
  points: 'Les bonnes réponses rapportent des points\u00a0: 100 si tout est juste, sinon une partie.',
  no_hurry: 'Prends ton temps\u00a0: être rapide ne rapporte rien.',
  more_early: 'Les bonnes réponses données tôt rapportent un peu plus, 20 points au plus.',
  more_run: 'Les bonnes réponses à la suite rapportent un peu plus, 30 points au plus.',
  more_both: 'Répondre tôt et juste plusieurs fois de suite rapporte un peu plus.',
  wins: 'À la fin, qui a le plus de points est en tête. La lumière de chacun s’allume.',
} satisfies Words<typeof en>
