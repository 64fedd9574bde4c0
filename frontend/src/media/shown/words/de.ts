import type { Words } from '@/words'
import type en from './en'

export default {
  video: 'Video',
  sound: 'Ton',
  captions: 'Untertitel',
  hide_text: 'Text ausblenden',
  read_instead: 'Lieber lesen',
} satisfies Words<typeof en>
