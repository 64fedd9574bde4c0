import type { Words } from '@/words'
import type en from './en'

export default {
  send: '{what} senden',
  send_of: '{count} von {of} senden',
  send_it: 'Senden',
  your_answer: 'Deine Antwort',
  own: 'deine Antwort',
  your_answer_is: 'Deine Antwort: {text}',
  yours: 'deine: {text}',
  right: 'richtig',
  right_is: 'richtig: {text}',
  count_more: 'und {count} weitere',
  middle_answer: 'Die mittlere Antwort ist {value}.',
  range: '{low} bis {high}',
  underlined: 'Unterstrichen ist, was du gewählt hast.',
  underlined_and_lit: 'Unterstrichen ist, was du gewählt hast; was richtig ist, liegt im Licht.',
  numbers_between: {
    one: '{n} Zahl zwischen {low} und {high}',
    other: '{n} Zahlen zwischen {low} und {high}',
  },
  picture_clear: 'Das Bild ist jetzt klar. Beschrieben wird es, wenn die richtige Antwort gezeigt wird.',
  picture_in_fog: 'Ein Bild im Nebel. Es klart auf, solange die Frage offen ist.',
  asked_aloud: 'Mündlich gefragt',
  right_head: 'richtig:',
  your_answer_head: 'Deine Antwort:',
} satisfies Words<typeof en>
