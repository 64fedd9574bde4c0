import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'напиши текст',
  sort_dictation: 'напиши, що чуєш',
  choose: 'Напиши відповідь',
  invite: 'Напиши відповідь.',
  hear: 'Напиши, що чуєш',
  listen: 'Слухай і пиши, що чуєш.',
} satisfies Words<typeof en>
