import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Ordenar la pesca',
  hook: 'Uno tras otro cuelga del gancho. Ponlo en la caja que le corresponde.',
  comes_back: 'Lo que va a una caja equivocada vuelve al gancho.',
  first: 'De cada uno cuenta el primer intento. Tómate tu tiempo.',
  wins: 'Va delante quien ordenó más al primer intento.',
  crates: 'Cajas',
  on_hook: 'En el gancho',
  later: 'Primero otro',
  not_in: '{text} no va en {group}.',
  goes_in: '{text} va en {group}.',
  in_crates: '{found} de {pairs} en su caja',
  inside: '{n} dentro',
} satisfies Words<typeof en>
