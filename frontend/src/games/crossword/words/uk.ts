import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Кросворд',
  answers: 'Кожне запитання — підказка, а правильна відповідь — слово кросворда.',
  letters: 'Коли ти відповіси, літери стануть у твою сітку й допоможуть зі словами, що їх перетинають.',
  alone: 'Кожен заповнює свою сітку. Порядок довільний.',
  together: 'Що хтось відгадав, стоїть у сітці всіх. Порядок довільний.',
  wins: 'Перший той, у кого найбільше правильних слів.',
  wins_together: 'Готово, коли стоять усі слова.',
  grid: 'Кросворд',
  across: '{number} по горизонталі',
  down: '{number} по вертикалі',
  clue: '{place}, {length}',
  letters_n: { one: '{n} літера', few: '{n} літери', many: '{n} літер', other: '{n} літери' },
  is_open: '{clue}: {pattern}',
  is_right: '{clue}: {pattern}, правильно',
  is_missed: '{clue}: {pattern}, не вгадано',
  is_together: '{clue}: {pattern}, хтось відгадав',
  blank: 'порожньо',
  right_of: 'Правильних слів: {right} з {words}',
  have_it: '{clue}: є у {right} з {players}',
} satisfies Words<typeof en>
