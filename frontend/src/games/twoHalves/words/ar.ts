import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'نصفان',
  join: 'كل شيء هنا في نصفين. المس نصفًا، ثم النصف الذي يلائمه.',
  lights: 'ما يتلازم يلتئم ويضيء نوره.',
  first: 'المحاولة الأولى لكلٍّ منها هي التي تُحسب. خذ وقتك.',
  wins: 'المتقدّم هو من جمع أكثر من أول محاولة.',
  halves: 'الأنصاف',
  others: 'أنصافها الأخرى',
  joined: 'ما التأم',
} satisfies Words<typeof en>
