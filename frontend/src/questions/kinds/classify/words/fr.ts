import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'range chaque élément dans un groupe',
  choose: 'Range chaque élément',
  put: '{line} dans {group}',
  caption: 'Combien ont mis chaque ligne dans chaque groupe',
} satisfies Words<typeof en>
