import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'سبر الأعماق',
  far_out: 'الأسئلة على امتداد ممرات تقود إلى البحر: كلما ابتعدت زادت القامات.',
  chooses: 'الفريق صاحب الدور يختار إلى أي مدى يجرؤ على الإبحار. والجميع يجيبون.',
  first_signals: 'من يشير أولًا يتقدم مع فريقه كله. والجميع يجيبون.',
  half: 'إذا كان نصف إجابات فريقك على الأقل صحيحًا فالنقطة لكم، وإلا فهي لأفضل الفرق الأخرى.',
  in_the_room: 'ما يعرفه فريقك يكسبه النقطة، وإلا حاول الآخرون.',
  wins: 'الأول هو الفريق الذي سبر أكبر عدد من القامات.',
  open_water: 'المياه المفتوحة',
  fathoms: {
    zero: '{n} قامة',
    one: 'قامة واحدة',
    two: 'قامتان',
    few: '{n} قامات',
    many: '{n} قامة',
    other: '{n} قامة',
  },
  you_choose: 'فريقك يختار',
  team_chooses: 'يختار فريق {name}.',
  course_set: 'اختار فريقك.',
  comes_first: 'يتقدم فريق {name}.',
  you_first: 'فريقك يتقدم.',
  signal: 'أشِر',
  who_signals: 'من يشير أولًا؟',
  all_charted: 'أُخذت النقاط كلها.',
  sounding: '{channel}، {fathoms}',
  is_free: '{sounding}: متاحة',
  is_on: '{sounding}: تُسأل الآن',
  is_lost: '{sounding}: لم يأخذها أحد',
  is_taken: '{sounding}: فريق {name}',
} satisfies Words<typeof en>
