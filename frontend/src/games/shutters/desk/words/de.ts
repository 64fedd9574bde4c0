import type { Words } from '@/words'
import type en from './en'

export default {
  devices_say_each_word: 'Geräte sprechen jedes Wort, das geöffnet wird',
  hint: 'Paare liegen hinter Fensterläden; zwei öffnen und sich merken.',
} satisfies Words<typeof en>
