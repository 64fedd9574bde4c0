import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'schreib einen Text',
  sort_dictation: 'schreib, was du hörst',
  choose: 'Schreib deine Antwort',
  invite: 'Schreib deine Antwort.',
  hear: 'Schreib, was du hörst',
  listen: 'Hör zu und schreib, was du hörst.',
} satisfies Words<typeof en>
