import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'tape un texte',
  sort_dictation: 'écris ce que tu entends',
  choose: 'Tape ta réponse',
  invite: 'Tape ta réponse.',
  hear: 'Écris ce que tu entends',
  listen: 'Écoute, et écris ce que tu entends.',
} satisfies Words<typeof en>
