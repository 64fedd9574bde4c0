import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Пошук слів',
  hidden: 'Слова сховані серед літер. Нижче до кожного є підказка.',
  touch: 'Торкнися першої літери слова, потім останньої.',
  costs_nothing: 'Позначити щось інше не коштує нічого. Не поспішай.',
  wins: 'Попереду той, хто знайшов найбільше.',
  grid: 'Літери',
  letter_at: '{letter}, рядок {row}, стовпець {column}',
  clues: 'Ще сховані',
  found: 'Знайдено',
  it_is: 'Знайдено: {word}.',
  no_word: 'Немає такого слова: {letters}.',
  no_line: 'Слово йде прямо: упоперек, униз або навскоси.',
  from_here: 'Від {letter}. Торкнися останньої літери.',
  n_found: {
    one: 'Знайдено {n} слово',
    few: 'Знайдено {n} слова',
    many: 'Знайдено {n} слів',
    other: 'Знайдено {n} слова',
  },
} satisfies Words<typeof en>
