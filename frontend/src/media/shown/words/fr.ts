import type { Words } from '@/words'
import type en from './en'

export default {
  video: 'Vidéo',
  sound: 'Son',
  captions: 'Sous-titres',
  hide_text: 'Masquer le texte',
  read_instead: 'Lire plutôt',
} satisfies Words<typeof en>
