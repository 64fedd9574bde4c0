import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'البحث عن الكلمات',
  hidden: 'كلمات مخفية بين الحروف، وتحتها دليل لكل كلمة.',
  touch: 'المس أول حرف من الكلمة ثم آخر حرف.',
  costs_nothing: 'تحديد شيء آخر لا يكلّف شيئًا. خذ وقتك.',
  wins: 'المتقدّم من وجد أكثر.',
  grid: 'الحروف',
  letter_at: '{letter}، الصف {row}، العمود {column}',
  clues: 'ما زال مخفيًا',
  found: 'وُجد',
  it_is: 'وُجدت: {word}.',
  no_word: 'ليست من الكلمات: {letters}.',
  no_line: 'تسير الكلمة في خط مستقيم: أفقيًا أو عموديًا أو مائلًا.',
  from_here: 'بدءًا من {letter}. المس آخر حرف.',
  n_found: {
    zero: 'لم يُعثر على كلمات',
    one: 'عُثر على كلمة واحدة',
    two: 'عُثر على كلمتين',
    few: 'عُثر على {n} كلمات',
    many: 'عُثر على {n} كلمة',
    other: 'عُثر على {n} كلمة',
  },
} satisfies Words<typeof en>
