import type { Words } from '@/words'
import type en from './en'

export default {
  across_and_down: 'waagerecht und senkrecht',
  across_down_and_on_slopes: 'waagerecht, senkrecht und schräg',
  in_every_direction_backwards_too: 'in alle Richtungen, auch rückwärts',
  words_run: 'Wörter laufen',
  hint: 'Wörter des Sets liegen zwischen Buchstaben versteckt und werden nach Hinweisen gefunden.',
} satisfies Words<typeof en>
