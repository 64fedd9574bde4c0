import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Ланцюг маяків',
  each_answers: 'Відповідає кожен у твоїй команді.',
  lights: 'Правильні відповіді запалюють наступні вогні вашого ланцюга; неправильні нічого не гасять.',
  mean: 'Рахується середнє в команді: малі й великі команди рівні.',
  wins_first: 'Перша — команда, чий ланцюг першим світить до кінця.',
  wins_furthest: 'Перша — команда, чий ланцюг наприкінці світить найдалі.',
  lit: 'світить {lit} з {length}',
  light_of: 'Команда «{name}»: світить {lit} з {length}.',
  at_the_end: 'Ланцюг світить до кінця!',
  your_light: 'Твої відповіді запалили {light}.',
} satisfies Words<typeof en>
