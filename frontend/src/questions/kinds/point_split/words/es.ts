import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'reparte {total} puntos',
  choose: 'Reparte los {total} puntos',
  invite: 'Reparte {total} puntos.',
  left_to_share: 'de {total} puntos quedan por repartir',
  fewer: 'Menos para {line}',
  more: 'Más para {line}',
  mean: '{line}: media {mean}',
  mean_points: 'Puntos de media, de {total}.',
} satisfies Words<typeof en>
