/** What set work says of itself to its teacher. */
import type { AttemptLine, Purpose, WorkLine, WorkRow } from '@/api/types'
import { t } from './words'

export const purposes = (): { value: Purpose; words: string; hint: string }[] => [
  {
    value: 'homework',
    words: t('homework'),
    hint: t('answers_can_be_changed_until'),
  },
  {
    value: 'test',
    words: t('test'),
    hint: t('one_attempt_against_the_clock_closed'),
  },
  {
    value: 'practice',
    words: t('practice'),
    hint: t('as_often_as_they_like_told'),
  },
  {
    value: 'make_up',
    words: t('make_up'),
    hint: t('the_same_questions'),
  },
]
export const purposeOf = (purpose: Purpose): string => purposes().find((one) => one.value === purpose)!.words

const why = (): Record<AttemptLine['why'], string> => ({
  '': '',
  hand: t('handed_in_2'),
  time: t('time_was_up'),
  due: t('it_was_due'),
  target: t('target_reached'),
  done: t('target_reached'),
  desk: t('taken_in'),
  end: t('taken_in'),
})

/** By whom or by what an attempt ended; one that was handed in whole is done. What a game calls done is its target. */
export function whyOf(one: AttemptLine, comesBack = false): string {
  const isWhole = (one.why === 'hand' && one.answered === one.of) || (one.why === 'done' && comesBack)
  return isWhole ? t('all_done') : why()[one.why]
}

export const stages = (): Record<WorkLine['stage'], string> => ({
  not_begun: t('not_begun_2'),
  begun: t('begun'),
  handed_in: t('handed_in_2'),
  excused: t('excused'),
})

export const doors = (): Record<WorkRow['door'], string> => ({
  withdrawn: t('taken_back'),
  not_yet: t('not_open_yet'),
  open: t('is_open'),
  late: t('past_due_still_taken'),
  closed: t('is_closed'),
})
