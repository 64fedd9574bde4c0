import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'розподіли по групах',
  choose: 'Розподіли по групах',
  put: '{line} — {group}',
  caption: 'Скільки людей поклали кожен рядок у кожну групу',
} satisfies Words<typeof en>
