import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'mets dans l’ordre',
  sort_rank: 'classe-les',
  choose: 'Mets-les dans l’ordre',
  send: 'Envoyer cet ordre',
  mean_place: '{line}\u00a0: place moyenne {place}',
  moved: '{line}\u00a0: place {place} sur {of}',
  move_up: 'Monter {line}',
  move_down: 'Descendre {line}',
  right_as_is: 'C’est juste comme ça',
  liked_as_is: 'Ça me plaît comme ça',
  your_place: 'ta place\u00a0: {place}',
  right_order: 'Voici le bon ordre.',
  bars: 'Chaque barre montre combien avaient la ligne à sa place.',
  mean_at_end: 'Le nombre à la fin est la place moyenne.',
} satisfies Words<typeof en>
