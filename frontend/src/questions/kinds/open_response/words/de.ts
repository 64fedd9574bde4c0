import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'schreib mit eigenen Worten',
  choose: 'Schreib deine Antwort',
  invite: 'Schreib mit eigenen Worten.',
  characters_left: 'noch {left} von {of} Zeichen',
  answers: { one: '{n} Antwort: {texts}', other: '{n} Antworten: {texts}' },
} satisfies Words<typeof en>
