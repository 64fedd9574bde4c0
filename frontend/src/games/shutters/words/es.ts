import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Postigos',
  open_two: 'Detrás de cada postigo está la mitad de una pareja. Abre dos.',
  stay: 'Si van juntos, se quedan abiertos. Si no, recuerda lo que has visto.',
  counts: 'Un fallo cuenta solo si ya habías visto el correcto.',
  wins: 'Va delante quien encontró más sin ese fallo.',
  house: 'Postigos de la casa',
  shut: 'Postigo {number}, cerrado',
  is_open: 'Postigo {number}: {text}',
  is_found: 'Postigo {number}: {text}, encontrado',
} satisfies Words<typeof en>
