import type { Words } from '@/words'
import type en from './en'

export default {
  send: 'Надіслати {what}',
  send_of: 'Надіслати {count} з {of}',
  send_it: 'Надіслати',
  your_answer: 'Твоя відповідь',
  own: 'твоя відповідь',
  your_answer_is: 'Твоя відповідь: {text}',
  yours: 'твоя: {text}',
  right: 'правильно',
  right_is: 'правильно: {text}',
  count_more: 'і ще {count}',
  middle_answer: 'Середня за порядком відповідь — {value}.',
  range: 'від {low} до {high}',
  underlined: 'Підкреслено твій вибір.',
  underlined_and_lit: 'Підкреслено твій вибір, а правильне — у світлі.',
  numbers_between: {
    one: '{n} число від {low} до {high}',
    few: '{n} числа від {low} до {high}',
    many: '{n} чисел від {low} до {high}',
    other: '{n} числа від {low} до {high}',
  },
  picture_clear: 'Картинка вже чітка. Її опишуть, коли покажуть правильну відповідь.',
  picture_in_fog: 'Картинка в тумані. Вона прояснюється, поки запитання відкрите.',
  asked_aloud: 'Запитання вголос',
  right_head: 'правильно:',
  your_answer_head: 'Твоя відповідь:',
} satisfies Words<typeof en>
