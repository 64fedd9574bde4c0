import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'escribe un texto',
  sort_dictation: 'escribe lo que oyes',
  choose: 'Escribe tu respuesta',
  invite: 'Escribe tu respuesta.',
  hear: 'Escribe lo que oyes',
  listen: 'Escucha y escribe lo que oyes.',
} satisfies Words<typeof en>
