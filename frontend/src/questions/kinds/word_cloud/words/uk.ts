import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'надішли слово',
  sort_up_to: 'надішли до {most} слів',
  choose: 'Напиши слово',
  send: {
    one: 'Надіслати {n} слово',
    few: 'Надіслати {n} слова',
    many: 'Надіслати {n} слів',
    other: 'Надіслати {n} слова',
  },
  your_word: 'Твоє слово',
  up_to: 'До {most} слів',
  word: 'Слово {number}',
  invite_one: 'Надішли слово.',
  invite_up_to: 'Надішли до {most} слів.',
  counted_as_one: 'Пораховано як одне: {words}',
  your_words: 'Твої слова: {words}',
} satisfies Words<typeof en>
