import type { ItemOf, KeyOf, PublicItemOf, TallyOf } from '@/api/types'
import { defineKind } from '../../kindViews'
import { lettersOf } from './letters'
import { t as common } from '@/questions/shared/words'
import { t } from './words'

function sort(item: PublicItemOf<'choice'> | ItemOf<'choice'>): string {
  if ('several' in item) return t(item.several ? 'sort_several' : 'sort_one')
  return t(`sort_${item.form ?? 'one'}`)
}

function inWords(
  item: PublicItemOf<'choice'>,
  tally: TallyOf<'choice'> | null,
  key: KeyOf<'choice'> | null,
): string {
  if (!tally && !key) return ''
  const lines = item.options.map((option) => {
    const count = tally?.counts.find((row) => row.id === option.id)?.count
    const right = key?.right.includes(option.id) ? `, ${common('right')}` : ''
    return `${option.letter}${count === undefined ? '' : `: ${count}`}${right}`
  })
  return lines.join('; ')
}

export const choice = defineKind<'choice'>({
  isAsked: true,
  player: async () => (await import('./Player.vue')).default,
  result: async () => (await import('./Result.vue')).default,
  sort,
  without: (item, ids) => ({ ...item, options: item.options.filter((one) => !ids.includes(one.id)) }),
  sendLabel: (item, answer) => (answer ? common('send', { what: lettersOf(item, answer) }) : t('choose')),
  inWords,
})
