import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'écris avec tes propres mots',
  choose: 'Écris ta réponse',
  invite: 'Écris avec tes propres mots.',
  characters_left: 'encore {left} caractères sur {of}',
  answers: {
    one: '{n} réponse : {texts}',
    many: '{n} de réponses : {texts}',
    other: '{n} réponses : {texts}',
  },
} satisfies Words<typeof en>
