import type { Words } from '@/words'
import type en from './en'

export default {
  found_of: '{found} von {pairs} gefunden',
  belong: '{left} und {right} gehören zusammen.',
  apart: '{left} und {right} gehören nicht zusammen.',
  first_try: '{right} beim ersten Versuch richtig',
  board: 'Tafel {number}: {found} von {all} gefunden, {finished} haben alles',
  finished: '{finished} von {players} haben alles',
} satisfies Words<typeof en>
