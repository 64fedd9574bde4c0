import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'choisis une réponse',
  sort_several: 'choisis toutes les bonnes réponses',
  sort_true_false: 'vrai ou faux',
  choose: 'Choisis une réponse',
} satisfies Words<typeof en>
