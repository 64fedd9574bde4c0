import { newId } from '@/api/ids'
import { textOf } from '@/questions/shared/lines'
import { defineKind } from '../../kindViews'

export const match = defineKind<'match'>({
  label: 'Match',
  hint: 'pairs are found',
  isAsked: true,
  starts: () => ({
    time_limit: 90,
    pairs: [0, 1, 2].map(() => ({ id: newId(8), left: '', partner_id: newId(8), right: '' })),
  }),
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => 'find the pairs',
  sendLabel: (item, answer) =>
    answer ? `Send ${answer.matched.length} of ${item.left.length}` : 'Find the pairs',
  inWords: (item, tally, key) => {
    const name = (id: string) =>
      textOf([...item.left, ...item.right].find((line) => line.id === id)?.html ?? '')
    const counts =
      tally?.cells.map((cell) => `${name(cell.left)} with ${name(cell.right)}: ${cell.count}`) ?? []
    const right = key?.matched.map((one) => `${name(one.left)} with ${name(one.right)}`) ?? []
    return [...counts, right.length ? `right: ${right.join(', ')}` : ''].filter(Boolean).join('; ')
  },
})
