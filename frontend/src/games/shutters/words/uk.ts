import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Віконниці',
  open_two: 'За кожною віконницею — половина пари. Відчини дві.',
  stay: 'Якщо це пара, вони лишаться відчинені. Якщо ні — запам’ятай, що ти бачиш.',
  counts: 'Помилка рахується, лише якщо потрібне вже траплялося тобі раніше.',
  wins: 'Попереду той, хто найбільше знайшов без такої помилки.',
  house: 'Віконниці будинку',
  shut: 'Віконниця {number}, зачинена',
  is_open: 'Віконниця {number}: {text}',
  is_found: 'Віконниця {number}: {text}, знайдено',
} satisfies Words<typeof en>
