import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'gib eine Zahl ein',
  choose: 'Gib eine Zahl ein',
  your_number: 'Deine Zahl',
  read_as: 'Gelesen als {number}',
  type_one: 'Gib eine Zahl ein.',
  type_one_in: 'Gib eine Zahl in {unit} ein.',
  range_counts: '{value} ({range} zählt)',
} satisfies Words<typeof en>
