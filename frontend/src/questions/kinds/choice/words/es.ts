import type { Words } from '@/words'
import type en from './en'

export default {
  sort_one: 'elige una',
  sort_several: 'elige todas las correctas',
  sort_true_false: 'verdadero o falso',
  choose: 'Elige una respuesta',
} satisfies Words<typeof en>
