import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'заповни пропуски',
  choose: 'Заповни пропуски',
  gap: 'Пропуск {number}',
  gap_holds: 'пропуск {number}: {words}',
  nothing: 'нічого',
  words: 'Слова',
} satisfies Words<typeof en>
