import type { Words } from '@/words'
import type en from './en'

export default {
  name: 'Розклади улов',
  hook: 'Одне за одним висить на гачку. Поклади його в той ящик, де йому місце.',
  comes_back: 'Що потрапило не в той ящик, повертається на гачок.',
  first: 'Для кожного рахується перша спроба. Не поспішай.',
  wins: 'Попереду той, хто найбільше розклав з першої спроби.',
  crates: 'Ящики',
  on_hook: 'На гачку',
  later: 'Спершу інше',
  not_in: '{text} не належить до {group}.',
  goes_in: '{text} належить до {group}.',
  in_crates: 'У своїх ящиках {found} з {pairs}',
  inside: 'усередині {n}',
} satisfies Words<typeof en>
