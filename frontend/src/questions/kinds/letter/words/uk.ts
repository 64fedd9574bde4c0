import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'вибери літеру',
  choose: 'Вибери літеру',
} satisfies Words<typeof en>
