import { textOf } from '@/questions/shared/lines'
import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const classify = defineKind<'classify'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (item, answer) =>
    answer ? common('send_of', { count: answer.placed.length, of: item.members.length }) : t('choose'),
  inWords: (item, tally, key) => {
    const name = (id: string) =>
      textOf([...item.members, ...item.groups].find((line) => line.id === id)?.html ?? '')
    const put = (one: { member: string; group: string }) =>
      t('put', { line: name(one.member), group: name(one.group) })
    const counts = tally?.cells.map((cell) => `${put(cell)}: ${cell.count}`) ?? []
    const right = key?.placed.map(put) ?? []
    return [...counts, right.length ? common('right_is', { text: right.join(', ') }) : '']
      .filter(Boolean)
      .join('; ')
  },
})
