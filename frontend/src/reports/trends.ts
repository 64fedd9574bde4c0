/** What a trend says, in words: never a verdict where the figures give none. */
import type { StudentOverTime } from '@/api/types'

type Trend = StudentOverTime['trend']

/** 0.123 as "+12". */
function signed(share: number): string {
  const rounded = Math.round(share * 100)
  return `${rounded > 0 ? '+' : rounded < 0 ? '−' : ''}${Math.abs(rounded)}`
}

/** 0.123 as "+12 points". */
export const points = (share: number): string => `${signed(share)} points`

export function told(trend: Trend): string {
  const { change, low, high, verdict } = trend
  if (change === null || low === null || high === null) return 'too few sessions to say'
  const range = `${points(change)} in four weeks (${signed(low)} to ${signed(high)})`
  return verdict ? `${verdict}: ${range}` : `no clear trend: ${range}`
}

/** Those who slip first, then by how much. */
export const bySlipping = (a: StudentOverTime, b: StudentOverTime): number =>
  Number(b.trend.verdict === 'slips') - Number(a.trend.verdict === 'slips') ||
  (a.trend.change ?? Infinity) - (b.trend.change ?? Infinity)
