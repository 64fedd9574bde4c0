import { textOf } from '@/questions/shared/lines'
import { defineKind } from '../../kindViews'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

export const order = defineKind<'order'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort: (item) => t(item.scored ? 'sort' : 'sort_rank'),
  sendLabel: (_item, answer) => t(answer ? 'send' : 'choose'),
  inWords: (item, tally, key) => {
    const name = (id: string) => textOf(item.lines.find((line) => line.id === id)?.html ?? '')
    const places = tally?.n
      ? tally.placings.map((one) => t('mean_place', { line: name(one.id), place: one.mean_place }))
      : []
    return [...places, key ? common('right_is', { text: key.order.map(name).join(', ') }) : '']
      .filter(Boolean)
      .join('; ')
  },
})
