import type { Words } from '@/words'
import type en from './en'

export default {
  video: 'Відео',
  sound: 'Звук',
  captions: 'Субтитри',
  hide_text: 'Сховати текст',
  read_instead: 'Краще прочитати',
} satisfies Words<typeof en>
