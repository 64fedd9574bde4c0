import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'اكتب نصًّا',
  sort_dictation: 'اكتب ما تسمع',
  choose: 'اكتب إجابتك',
  invite: 'اكتب إجابتك.',
  hear: 'اكتب ما تسمع',
  listen: 'استمع واكتب ما تسمع.',
} satisfies Words<typeof en>
