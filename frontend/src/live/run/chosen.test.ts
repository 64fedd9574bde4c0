import { describe, expect, it } from 'vitest'
import defaults from '@/api/defaults.json'
import type { RunOffer, Settings } from '@/api/types'
import { beginning, playedAs, playing, switched } from './chosen'

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

describe('what is played', () => {
  const BEACONS = { game: 'beacons', teams: 4, made: 'drawn', ends: 'furthest', length: null } as const
  const beacons: Settings = { ...START, points: false, game: { ...BEACONS } }
  const own: Settings = { ...beacons, manner: 'own_pace', mix_questions: true }
  const bare: Settings = { ...START, points: false, show_standings: false }
  const games = {
    ...offer,
    switched: [
      ...offer.switched,
      { manner: 'own_pace', answers: 'final', settings: { ...OWN, answers: 'final' } },
    ],
    games: [
      { game: '', manner: 'led', settings: bare },
      { game: '', manner: 'own_pace', settings: { ...bare, manner: 'own_pace' } },
      { game: 'points', manner: 'led', settings: START },
      { game: 'beacons', manner: 'led', settings: beacons },
      { game: 'beacons', manner: 'own_pace', settings: own },
    ],
  } as unknown as RunOffer

  it('is told from the settings', () => {
    expect(playedAs(START)).toBe('points')
    expect(playedAs(bare)).toBe('')
    expect(playedAs({ ...START, feedback: 'end' })).toBe('')
    expect(playedAs({ ...START, manner: 'own_pace' })).toBe('')
    expect(playedAs(beacons)).toBe('beacons')
  })

  it('brings the settings that go with it, and leaves all else as it was', () => {
    const closing = { score: 'none', words: 'Coil the ropes.' } as const
    const mine = { known: 'list', notes: false, names_on_screen: false, closing } as const
    const then = playing(games, { ...START, ...mine, feedback: 'end', answers: 'changeable' }, 'beacons')
    expect(then).toEqual({ ...beacons, ...mine })
  })

  it('stays where the manner is another, as it was chosen, and goes where it cannot be played', () => {
    const chosen = { ...BEACONS, teams: 7 }
    const then = switched(games, { ...beacons, game: chosen }, 'own_pace', 'final')
    expect([then.manner, then.game, then.mix_questions]).toEqual(['own_pace', chosen, true])
    expect(playedAs(switched(games, then, 'own_pace', 'changeable'))).toBe('')
  })
})
