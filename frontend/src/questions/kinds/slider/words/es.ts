import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'mueve el control',
  choose: 'Mueve el control',
  less: 'Un paso menos',
  more: 'Un paso más',
  your_number: 'Tu número, de {low} a {high}',
  middle_half: 'La respuesta central es {middle}; la mitad central va de {low} a {high}.',
} satisfies Words<typeof en>
