import type { Words } from '@/words'
import type en from './en'

export default {
  sort: 'укажи на картинці',
  choose: 'Укажи на картинці',
  invite: 'Укажи на картинці.',
  send_named: 'Надіслати «{name}»',
  send_place: 'Надіслати це місце',
  points: { one: '{n} точка', few: '{n} точки', many: '{n} точок', other: '{n} точки' },
  elsewhere: 'деінде',
  an_area: 'ділянка',
  area_of: 'ділянка {number}',
  area_lit: 'ділянка у світлі',
  left: 'Позначку ліворуч',
  up: 'Позначку вгору',
  down: 'Позначку вниз',
  right: 'Позначку праворуч',
  move_mark: 'Рухати позначку',
  mark_at: 'Позначка: {across} % зліва і {down} % згори.',
  press: 'Натисни на картинку.',
  by_name: 'Або вибери за назвою',
} satisfies Words<typeof en>
