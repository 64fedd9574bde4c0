import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Carrera de balizas',
  each_answers: 'Todos en tu equipo responden.',
  lights:
    'Las respuestas correctas encienden las siguientes balizas de vuestra cadena; las falsas no apagan ninguna.',
  mean: 'Cuenta la media del equipo: los equipos pequeños y grandes son iguales.',
  wins_first: 'Va primero el equipo que enciende antes toda su cadena.',
  wins_furthest: 'Va primero el equipo cuya cadena llega más lejos al final.',
  lit: '{lit} de {length} encendidas',
  light_of: 'Equipo {name}: {lit} de {length} balizas encendidas.',
  at_the_end: '¡Al final de la cadena!',
  your_light: 'Tus respuestas encendieron {light}.',
} satisfies Words<typeof en>
