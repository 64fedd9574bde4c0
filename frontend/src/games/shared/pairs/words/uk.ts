import type { Words } from '@/words'
import type en from './en'

export default {
  found_of: 'Знайдено {found} з {pairs}',
  belong: '{left} і {right} — пара.',
  apart: '{left} і {right} — не пара.',
  first_try: '{right} правильно з першої спроби',
  board: 'Дошка {number}: знайдено {found} з {all}, усе мають {finished}',
  finished: 'Усе мають {finished} з {players}',
  picture: 'Зображення {number}',
  sound: 'Звук {number}',
  film: 'Фільм {number}',
  touch_to_hear: 'Торкнися звуку, щоб почути.',
  turn_of: 'Зараз хід: {name}.',
  all_found: 'Усе знайдено.',
} satisfies Words<typeof en>
