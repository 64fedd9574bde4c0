import type { Words } from '@/words'
import type en from './en'

export default {
  video: 'Vídeo',
  sound: 'Sonido',
  captions: 'Subtítulos',
  hide_text: 'Ocultar el texto',
  read_instead: 'Leerlo en su lugar',
} satisfies Words<typeof en>
