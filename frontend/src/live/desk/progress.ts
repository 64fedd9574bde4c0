/** How far everybody is, at own pace: orders of the lines, and what a line says. */
import type { Progress } from '@/api/types'
import { orderOf } from '@/composables/ordering'
import { t } from './words'

export type By = 'name' | 'progress' | 'share'

const shareOf = (line: Progress): number => (line.marked ? line.right / line.marked : -1)

/** Who needs a look stands first: the least far, the least right. Equal ones in the order of names in this language. */
export function sorted(lines: readonly Progress[], by: By, language: string): Progress[] {
  const compare = orderOf(language)
  const apart = (one: Progress, other: Progress): number => {
    if (by === 'progress')
      return (
        Number(!!one.handed_in) - Number(!!other.handed_in) ||
        one.answered / Math.max(1, one.of) - other.answered / Math.max(1, other.of)
      )
    return by === 'share' ? shareOf(one) - shareOf(other) : 0
  }
  return [...lines].sort((one, other) => apart(one, other) || compare(one.name, other.name))
}

export const shareSaid = (line: Progress): string =>
  line.marked ? `${Math.round(shareOf(line) * 100)} %` : ''

/** Somebody who has done nothing for so long is said to be idle, ms. */
const IDLE_FROM = 60_000

/** "3 min", where nothing was done for a while; empty where something was, or nothing is to be done. */
export function idleSaid(line: Progress, now: number): string {
  if (!line.last || line.handed_in) return ''
  const idle = now - line.last
  return idle < IDLE_FROM ? '' : t('min', { minutes: Math.floor(idle / 60_000) })
}

/** A pane of the wall from its sign (`pane_sign` in the core); undefined where the question is not on the paper. */
export function paneOf(sign: string): number | string | null | undefined {
  if (sign === '-') return undefined
  if (sign === '.') return null
  if (sign === 'a') return '•'
  return sign === 'R' ? 1 : Number(sign) / 10
}
