/** What set work says of itself to its teacher. */
import type { AttemptLine, Purpose, WorkLine, WorkRow } from '@/api/types'

export const PURPOSES: { value: Purpose; words: string; hint: string }[] = [
  {
    value: 'homework',
    words: 'Homework',
    hint: 'Answers can be changed until it is handed in; late work is taken.',
  },
  {
    value: 'test',
    words: 'Test',
    hint: 'One attempt, against the clock, closed when it is due; told what was right then.',
  },
  {
    value: 'practice',
    words: 'Practice',
    hint: 'As often as they like; told after each answer, and what was missed comes back.',
  },
  {
    value: 'make_up',
    words: 'Make-up',
    hint: 'The same questions for who was absent, with the session’s key.',
  },
]
export const purposeOf = (purpose: Purpose): string => PURPOSES.find((one) => one.value === purpose)!.words

export const WHY: Record<AttemptLine['why'], string> = {
  '': '',
  hand: 'handed in',
  time: 'time was up',
  due: 'it was due',
  target: 'target reached',
  done: 'target reached',
  desk: 'taken in',
  end: 'taken in',
}

/** By whom or by what an attempt ended; one that was handed in whole is done. What a game calls done is its target. */
export function whyOf(one: AttemptLine, comesBack = false): string {
  const isWhole = (one.why === 'hand' && one.answered === one.of) || (one.why === 'done' && comesBack)
  return isWhole ? 'all done' : WHY[one.why]
}

export const STAGES: Record<WorkLine['stage'], string> = {
  not_begun: 'not begun',
  begun: 'begun',
  handed_in: 'handed in',
  excused: 'excused',
}

export const DOORS: Record<WorkRow['door'], string> = {
  withdrawn: 'taken back',
  not_yet: 'not open yet',
  open: 'open',
  late: 'past due, still taken',
  closed: 'closed',
}
