import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'оціни кожне твердження',
  choose: 'Оціни твердження',
  rated: {
    one: '{line}: середнє {mean}, розкид {spread}, {n} оцінка',
    few: '{line}: середнє {mean}, розкид {spread}, {n} оцінки',
    many: '{line}: середнє {mean}, розкид {spread}, {n} оцінок',
    other: '{line}: середнє {mean}, розкид {spread}, {n} оцінки',
  },
  rated_once: '{line}: {mean}, одна оцінка',
} satisfies Words<typeof en>
