import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'envía una palabra',
  sort_up_to: 'envía hasta {most} palabras',
  choose: 'Escribe una palabra',
  send: { one: 'Enviar {n} palabra', many: 'Enviar {n} de palabras', other: 'Enviar {n} palabras' },
  your_word: 'Tu palabra',
  up_to: 'Hasta {most} palabras',
  word: 'Palabra {number}',
  invite_one: 'Envía una palabra.',
  invite_up_to: 'Envía hasta {most} palabras.',
  counted_as_one: 'Contadas como una: {words}',
  your_words: 'Tus palabras: {words}',
} satisfies Words<typeof en>
