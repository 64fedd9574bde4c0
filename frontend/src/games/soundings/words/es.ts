import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Sondeos en el mar',
  far_out:
    'Las preguntas están a lo largo de canales que llevan a mar abierto: cuanto más lejos, más brazas.',
  chooses: 'El equipo al que le toca elige hasta dónde se atreve a ir. Responden todos.',
  first_signals: 'Quien avisa primero va primero, con todo su equipo. Responden todos.',
  half: 'Si al menos la mitad de las respuestas de tu equipo son correctas, el sondeo es vuestro; si no, es del mejor de los otros.',
  in_the_room: 'Lo que sabe tu equipo le da el sondeo; si no, pueden probar los otros.',
  wins: 'Va primero el equipo que ha sondeado más brazas.',
  open_water: 'Aguas abiertas',
  fathoms: { one: '{n} braza', many: '{n} brazas', other: '{n} brazas' },
  you_choose: 'Elige tu equipo',
  team_chooses: 'Elige el equipo {name}.',
  course_set: 'Tu equipo ha elegido.',
  comes_first: 'El equipo {name} va primero.',
  you_first: 'Tu equipo va primero.',
  signal: 'Avisar',
  who_signals: '¿Quién avisa primero?',
  all_charted: 'Ya no queda ningún sondeo.',
  sounding: '{channel}, {fathoms}',
  is_free: '{sounding}: libre',
  is_on: '{sounding}: ahora',
  is_lost: '{sounding}: de nadie',
  is_taken: '{sounding}: equipo {name}',
} satisfies Words<typeof en>
