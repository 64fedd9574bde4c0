import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'سباق المنارات',
  each_answers: 'يجيب كل من في فريقك.',
  lights: 'الإجابات الصحيحة تضيء المنارات التالية في سلسلة فريقك، والخاطئة لا تطفئ شيئًا.',
  mean: 'يُحسب متوسط الفريق: الفرق الصغيرة والكبيرة متساوية.',
  wins_first: 'الأول هو الفريق الذي تضيء سلسلته حتى نهايتها أولًا.',
  wins_furthest: 'الأول هو الفريق الذي تصل إضاءة سلسلته أبعد في النهاية.',
  lit: 'أُضيء {lit} من {length}',
  light_of: 'فريق {name}: أُضيء {lit} من {length}.',
  at_the_end: 'وصلتم إلى نهاية السلسلة!',
  your_light: 'إجاباتك أضاءت {light} منها.',
} satisfies Words<typeof en>
