import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'فرز الصيد',
  hook: 'واحد تلو الآخر معلّق على الخطّاف. ضعه في الصندوق الذي ينتمي إليه.',
  comes_back: 'ما يوضع في صندوق خطأ يعود إلى الخطّاف.',
  first: 'المحاولة الأولى لكلٍّ منها هي التي تُحسب. خذ وقتك.',
  wins: 'المتقدّم هو من فرز أكثر من أول محاولة.',
  crates: 'الصناديق',
  on_hook: 'على الخطّاف',
  later: 'غيره أولًا',
  not_in: '{text} لا ينتمي إلى {group}.',
  goes_in: '{text} ينتمي إلى {group}.',
  in_crates: '{found} من {pairs} في صناديقها',
  inside: 'في داخله {n}',
} satisfies Words<typeof en>
