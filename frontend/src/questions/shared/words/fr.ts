import type { Words } from '@/words'
import type en from './en'

export default {
  send: 'Envoyer {what}',
  send_of: 'Envoyer {count} sur {of}',
  send_it: 'Envoyer',
  your_answer: 'Ta réponse',
  own: 'ta réponse',
  your_answer_is: 'Ta réponse\u00a0: {text}',
  yours: 'la tienne\u00a0: {text}',
  right: 'juste',
  right_is: 'juste\u00a0: {text}',
  count_more: 'et {count} de plus',
  middle_answer: 'La réponse du milieu est {value}.',
  range: '{low} à {high}',
  underlined: 'Ce que tu as choisi est souligné.',
  underlined_and_lit: 'Ce que tu as choisi est souligné, ce qui est juste est dans la lumière.',
  numbers_between: {
    one: '{n} nombre entre {low} et {high}',
    many: '{n} de nombres entre {low} et {high}',
    other: '{n} nombres entre {low} et {high}',
  },
  picture_clear: 'L’image est nette maintenant. Elle sera décrite avec la bonne réponse.',
  picture_in_fog: 'Une image dans la brume. Elle s’éclaircit tant que la question est ouverte.',
  asked_aloud: 'Posée à voix haute',
  right_head: 'juste\u00a0:',
  your_answer_head: 'Ta réponse\u00a0:',
} satisfies Words<typeof en>
