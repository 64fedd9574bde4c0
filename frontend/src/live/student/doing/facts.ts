/** What a student has to know before they begin, or go on, in sentences. */
import type { MyWork } from '@/api/types'
import { localeOf } from '@/words'
import { t as paper } from '../seated/own/words'
import { moment } from './times'
import { t } from './words'

const A_DAY = 24 * 3_600_000

export function factsOf(work: MyWork): string[] {
  const { facts, needs, target, zone } = work
  const { time = 1, no_limit: noLimit } = needs ?? {}
  const left = work.attempts_in_all === null ? null : work.attempts_in_all - work.attempts.length
  const found = [paper('questions', { n: facts.questions })]
  if (target.right) found.push(t('target_right', { n: target.right }))
  if (target.minutes) found.push(t('target_minutes', { n: target.minutes }))
  if (work.game_minutes) found.push(paper('minutes_for_all', { n: work.game_minutes }))
  if (facts.limit && !noLimit)
    found.push(paper('minutes_for_all', { n: Math.round((facts.limit * time) / 60) + work.more_minutes }))
  if (facts.until && !noLimit && !work.ends)
    found.push(paper('until_clock', { time: timeOnly(facts.until, zone) }))
  if (work.ends && work.ends - work.now < A_DAY)
    found.push(paper('until_clock', { time: timeOnly(work.ends, zone) }))
  if (facts.timed && !noLimit) found.push(paper('timed'))
  found.push(paper(facts.changeable ? 'may_change' : 'stays'))
  if (work.told_when) found.push(t('told_when', { when: moment(work.told_when, zone) }))
  else if (facts.feedback === 'each' || facts.feedback === 'never')
    found.push(paper(`tells_${facts.feedback}`))
  else found.push(paper('tells_handed_in'))
  if (facts.comes_back) found.push(paper('comes_back'))
  if (left !== null && work.attempts_in_all! > 1) found.push(t('attempts_left', { n: left }))
  if (work.attempts_in_all === null || work.attempts_in_all > 1)
    found.push(t(`counts_${work.counts}` as 'counts_best'))
  if (work.pass_mark) found.push(t('pass_at', { percent: work.pass_mark }))
  return found
}

const timeOnly = (at: number, zone?: string): string =>
  new Intl.DateTimeFormat(localeOf(), {
    numberingSystem: 'latn',
    hour: 'numeric',
    minute: '2-digit',
    timeZone: zone,
  }).format(at)
