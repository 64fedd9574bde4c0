import type { Words } from '@/words'
import type en from './en'

export default {
  found_of: '{found} de {pairs} encontrados',
  belong: '{left} y {right} van juntos.',
  apart: '{left} y {right} no van juntos.',
  first_try: '{right} bien al primer intento',
  board: 'Tablero {number}: {found} de {all} encontrados, {finished} lo tienen todo',
  finished: '{finished} de {players} lo tienen todo',
  picture: 'Imagen {number}',
  sound: 'Sonido {number}',
  film: 'Película {number}',
  touch_to_hear: 'Toca un sonido para oírlo.',
  turn_of: 'Le toca a {name}.',
  all_found: 'Todo está encontrado.',
} satisfies Words<typeof en>
