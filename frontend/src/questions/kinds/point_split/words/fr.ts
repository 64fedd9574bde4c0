import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'répartis {total} points',
  choose: 'Répartis les {total} points',
  invite: 'Répartis {total} points.',
  left_to_share: 'points sur {total} restent à répartir',
  fewer: 'Moins pour {line}',
  more: 'Plus pour {line}',
  mean: '{line}\u00a0: moyenne {mean}',
  mean_points: 'Points en moyenne, sur {total}.',
} satisfies Words<typeof en>
