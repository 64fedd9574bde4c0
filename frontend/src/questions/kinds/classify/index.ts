import { newId } from '@/api/ids'
import { textOf } from '@/questions/shared/lines'
import { defineKind } from '../../kindViews'

export const classify = defineKind<'classify'>({
  label: 'Classify',
  hint: 'lines are put into groups',
  isAsked: true,
  starts: () => {
    const groups = [0, 1].map(() => ({ id: newId(8), text: '' }))
    const members = groups.map((group) => ({ id: newId(8), text: '', group: group.id }))
    return { time_limit: 90, groups, members }
  },
  editor: async () => (await import('./Editor.vue')).default,
  chips: async () => (await import('./Chips.vue')).default,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: () => 'put each into a group',
  sendLabel: (item, answer) =>
    answer ? `Send ${answer.placed.length} of ${item.members.length}` : 'Put each into a group',
  inWords: (item, tally, key) => {
    const name = (id: string) =>
      textOf([...item.members, ...item.groups].find((line) => line.id === id)?.html ?? '')
    const counts =
      tally?.cells.map((cell) => `${name(cell.member)} in ${name(cell.group)}: ${cell.count}`) ?? []
    const right = key?.placed.map((one) => `${name(one.member)} in ${name(one.group)}`) ?? []
    return [...counts, right.length ? `right: ${right.join(', ')}` : ''].filter(Boolean).join('; ')
  },
})
