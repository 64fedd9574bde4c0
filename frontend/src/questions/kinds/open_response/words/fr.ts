import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'écris avec tes propres mots',
  choose: 'Écris ta réponse',
  invite: 'Écris avec tes propres mots.',
  characters_left: 'encore {left} caractères sur {of}',
  answers: {
    one: '{n} réponse\u00a0: {texts}',
    many: '{n} de réponses\u00a0: {texts}',
    other: '{n} réponses\u00a0: {texts}',
  },
} satisfies Words<typeof en>
