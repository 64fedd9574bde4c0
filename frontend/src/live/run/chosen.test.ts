import { describe, expect, it } from 'vitest'
import defaults from '@/api/defaults.json'
import type { RunOffer, Settings } from '@/api/types'
import { beginning, switched } from './chosen'

const START = defaults.settings as Settings
const OWN: Settings = { ...START, manner: 'own_pace', answers: 'changeable', feedback: 'handed_in' }
const offer = {
  start: { ...START, known: 'list' },
  last: null,
  switched: [
    { manner: 'led', answers: 'final', settings: START },
    { manner: 'own_pace', answers: 'changeable', settings: OWN },
  ],
} as unknown as RunOffer

describe('what a run begins with', () => {
  it('is how the set was run last, or what goes for everybody', () => {
    expect(beginning(offer)).toEqual({ ...START, known: 'list' })
    expect(beginning({ ...offer, last: OWN })).toEqual(OWN)
  })
})

describe('the two switches', () => {
  it('set what goes with them, and leave who takes part, the game and the own words', () => {
    const now: Settings = {
      ...START,
      known: 'made_up',
      feedback: 'never',
      game: { game: 'points', early_bonus: true, run_bonus: true },
      closing: { score: 'none', words: 'Coil the ropes.' },
    }
    const then = switched(offer, now, 'own_pace', 'changeable')
    expect([then.manner, then.answers, then.feedback]).toEqual(['own_pace', 'changeable', 'handed_in'])
    expect([then.known, then.game]).toEqual([now.known, now.game])
    expect(then.closing).toEqual({ score: 'marks', words: 'Coil the ropes.' })
  })
})
