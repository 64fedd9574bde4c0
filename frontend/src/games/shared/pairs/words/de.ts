import type { Words } from '@/words'
import type en from './en'

export default {
  found_of: '{found} von {pairs} gefunden',
  belong: '{left} und {right} gehören zusammen.',
  apart: '{left} und {right} gehören nicht zusammen.',
  first_try: '{right} beim ersten Versuch richtig',
  board: 'Tafel {number}: {found} von {all} gefunden, {finished} haben alles',
  finished: '{finished} von {players} haben alles',
  picture: 'Bild {number}',
  sound: 'Ton {number}',
  film: 'Film {number}',
  touch_to_hear: 'Berühre einen Ton, um ihn zu hören.',
  turn_of: 'Jetzt ist {name} dran.',
  all_found: 'Alles ist gefunden.',
} satisfies Words<typeof en>
