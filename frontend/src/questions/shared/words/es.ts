import type { Words } from '@/words'
import type en from './en'

export default {
  send: 'Enviar {what}',
  send_of: 'Enviar {count} de {of}',
  send_it: 'Enviar',
  your_answer: 'Tu respuesta',
  own: 'tu respuesta',
  your_answer_is: 'Tu respuesta: {text}',
  yours: 'la tuya: {text}',
  right: 'correcto',
  right_is: 'correcto: {text}',
  count_more: 'y {count} más',
  middle_answer: 'La respuesta central es {value}.',
  range: '{low} a {high}',
  underlined: 'Lo que elegiste está subrayado.',
  underlined_and_lit: 'Lo que elegiste está subrayado; lo correcto está en la luz.',
  numbers_between: {
    one: '{n} número entre {low} y {high}',
    many: '{n} de números entre {low} y {high}',
    other: '{n} números entre {low} y {high}',
  },
  picture_clear: 'La imagen ya se ve clara. Se describe cuando se muestra la respuesta correcta.',
  picture_in_fog: 'Una imagen en la niebla. Se aclara mientras la pregunta está abierta.',
  asked_aloud: 'Se pregunta en voz alta',
  right_head: 'correcto:',
  your_answer_head: 'Tu respuesta:',
} satisfies Words<typeof en>
