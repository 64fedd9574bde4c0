import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'pon en orden',
  sort_rank: 'ordénalos según prefieras',
  choose: 'Ponlos en orden',
  send: 'Enviar este orden',
  mean_place: '{line}: puesto medio {place}',
  moved: '{line}: puesto {place} de {of}',
  move_up: 'Subir {line}',
  move_down: 'Bajar {line}',
  right_as_is: 'Está bien así',
  liked_as_is: 'Me gusta así',
  your_place: 'el tuyo: puesto {place}',
  right_order: 'Este es el orden correcto.',
  bars: 'Cada barra muestra cuántos tenían la línea en su sitio.',
  mean_at_end: 'El número al final es el puesto medio.',
} satisfies Words<typeof en>
