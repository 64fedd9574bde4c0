/** What a trend says, in words: never a verdict where the figures give none. */
import type { StudentOverTime } from '@/api/types'
import { t } from './words'

type Trend = StudentOverTime['trend']

/** 0.123 as "+12". */
function signed(share: number): string {
  const rounded = Math.round(share * 100)
  return `${rounded > 0 ? '+' : rounded < 0 ? '−' : ''}${Math.abs(rounded)}`
}

/** 0.123 as "+12 points". */
export const points = (share: number): string => t('points_2', { signed: signed(share) })

export function told(trend: Trend): string {
  const { change, low, high, verdict } = trend
  if (change === null || low === null || high === null) return t('too_few_sessions_to_say')
  const range = t('in_four_weeks_to', { points: points(change), low: signed(low), high: signed(high) })
  return verdict ? `${verdict}: ${range}` : t('no_clear_trend', { range })
}

/** Those who slip first, then by how much. */
export const bySlipping = (a: StudentOverTime, b: StudentOverTime): number =>
  Number(b.trend.verdict === 'slips') - Number(a.trend.verdict === 'slips') ||
  (a.trend.change ?? Infinity) - (b.trend.change ?? Infinity)
