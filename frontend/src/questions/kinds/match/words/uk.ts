import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'знайди пари',
  choose: 'Знайди пари',
  put: '{left} — {right}',
  partners: 'Вибери пару до кожного рядка',
  chosen: 'вибрано',
  choose_one: 'вибери…',
  caption: 'Скільки людей з’єднали кожен рядок першого стовпця з кожним рядком другого',
  partner_of: 'Пара до номера {number}',
} satisfies Words<typeof en>
