import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Luces rápidas',
  look_up: 'Cada pregunta está en la pantalla grande y aquí. Responde aquí.',
  points: 'Una respuesta correcta da 100 puntos; una correcta en parte, una parte.',
  no_hurry: 'Tómate tu tiempo: ser rápido no da nada.',
  more_early: 'Las respuestas correctas tempranas dan un poco más, 20 puntos como mucho.',
  more_run: 'Las respuestas correctas seguidas dan un poco más, 30 puntos como mucho.',
  more_both: 'Responder pronto y acertar varias veces seguidas da un poco más.',
  wins: 'Al final va primero quien tiene más puntos. Se enciende la luz de todos.',
} satisfies Words<typeof en>
