import { textOf } from '@/questions/shared/lines'
import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const match = defineKind<'match'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => t('sort'),
  sendLabel: (item, answer) =>
    answer ? common('send_of', { count: answer.matched.length, of: item.left.length }) : t('choose'),
  inWords: (item, tally, key) => {
    const name = (id: string) =>
      textOf([...item.left, ...item.right].find((line) => line.id === id)?.html ?? '')
    const put = (one: { left: string; right: string }) =>
      t('put', { left: name(one.left), right: name(one.right) })
    const counts = tally?.cells.map((cell) => `${put(cell)}: ${cell.count}`) ?? []
    const right = key?.matched.map(put) ?? []
    return [...counts, right.length ? common('right_is', { text: right.join(', ') }) : '']
      .filter(Boolean)
      .join('; ')
  },
})
