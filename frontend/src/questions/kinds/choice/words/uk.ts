import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'вибери одну відповідь',
  sort_several: 'вибери всі правильні',
  sort_true_false: 'правда чи ні',
  choose: 'Вибери відповідь',
} satisfies Words<typeof en>
