import type { PublicItem } from '@/api/types'

export type Fog = NonNullable<PublicItem['fog']>

/** Without a time limit the fog clears within this time. */
export const FOG_WITHOUT_LIMIT_MS = 60_000

const DEGREES = {
  none: { columns: 1, rows: 1, clearAt: 0.001 },
  light: { columns: 4, rows: 3, clearAt: 0.5 },
  medium: { columns: 6, rows: 4, clearAt: 0.75 },
  dense: { columns: 9, rows: 6, clearAt: 0.95 },
}

/** How many parts the fog has, and after which share of the time the last one goes. */
export const fogParts = (fog: Fog): (typeof DEGREES)[Fog] => DEGREES[fog]

/** For each part, in reading order, when its turn comes: a shuffle of 0..count-1 that `seed` alone decides. */
export function fogOrder(seed: string, count: number): number[] {
  let state = [...seed].reduce(
    (hash, letter) => Math.imul(hash ^ letter.charCodeAt(0), 16777619) >>> 0,
    2166136261,
  )
  const random = (): number => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
  const order = Array.from({ length: count }, (_, index) => index)
  for (let at = count - 1; at > 0; at--) {
    const other = Math.floor(random() * (at + 1))
    ;[order[at], order[other]] = [order[other]!, order[at]!]
  }
  return order
}

/** How much of a question's time has gone, 0..1; the whole once it is closed. `now` is the server's time in ms. */
export function timeGone(
  shown: { opened_at?: number | null; item: { time_limit?: number | null } },
  isOpen: boolean,
  now: number,
): number {
  if (!isOpen || !shown.opened_at) return 1
  const whole = shown.item.time_limit ? shown.item.time_limit * 1000 : FOG_WITHOUT_LIMIT_MS
  return Math.min(1, Math.max(0, (now - shown.opened_at) / whole))
}
