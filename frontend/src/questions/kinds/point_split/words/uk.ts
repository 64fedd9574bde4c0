import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'розподіли {total} балів',
  choose: 'Розподіли всі {total} балів',
  invite: 'Розподіли {total} балів.',
  left_to_share: 'з {total} балів ще треба розподілити',
  fewer: 'Менше для {line}',
  more: 'Більше для {line}',
  mean: '{line}: у середньому {mean}',
  mean_points: 'Середні бали з {total}.',
} satisfies Words<typeof en>
