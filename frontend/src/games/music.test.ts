import { describe, expect, it } from 'vitest'
import {
  BASS,
  frequencyOf,
  LEAD,
  loudnessOf,
  pieceOf,
  type Piece,
  type Voice,
} from '@/composables/sound/notes'
import { lengthOf, SIGNALS, type Signal } from '@/composables/sound/signals'
import { games } from './registry'

const FIVE = [0, 2, 4, 7, 9]
const tones = (piece: Piece): number[] => [...piece.lead, ...piece.bass].filter((note) => note !== null)
const names = Object.keys(games) as (keyof typeof games)[]

/** The loudest that a piece gets in a round, counted from when all of it sounds. */
function loudest({ step, lead, bass }: Piece): number {
  const line = (notes: readonly (number | null)[], { steps, loud }: Voice, at: number): number =>
    Array.from({ length: steps }, (_, back) => at - back)
      .filter((begun) => notes[begun % notes.length] !== null)
      .reduce((sum, begun) => sum + loudnessOf(loud, step * steps, (at - begun) * step + 0.04), 0)
  const moments = lead.map((_, index) => index + 10 * lead.length)
  return Math.max(...moments.map((at) => line(lead, LEAD, at) + line(bass, BASS, at)))
}

function loudestOf(signal: Signal): number {
  const tones = SIGNALS[signal]
  const at = (now: number): number =>
    tones.reduce((sum, tone) => sum + loudnessOf(tone.loud, tone.length, now - tone.at), 0)
  return Math.max(...tones.map((tone) => at(tone.at + 0.04)))
}

describe('a piece', () => {
  it('is written as semitones, with dots for rests', () => {
    expect(pieceOf(0.5, '12 . -3', '0 .')).toEqual({ step: 0.5, lead: [12, null, -3], bass: [0, null] })
    expect(frequencyOf(12) / frequencyOf(0)).toBeCloseTo(2)
  })

  it.each(names)('of %s is calm, and of five tones', async (name) => {
    const { piece } = await games[name].music()
    expect(piece.step).toBeGreaterThanOrEqual(0.4)
    expect(tones(piece).length).toBeGreaterThan(8)
    expect(tones(piece).filter((note) => !FIVE.includes(((note % 12) + 12) % 12))).toEqual([])
    expect(piece.lead.length % piece.bass.length).toBe(0)
  })

  it('is another for each game', async () => {
    const leads = await Promise.all(names.map(async (name) => (await games[name].music()).piece.lead.join()))
    expect(new Set(leads).size).toBe(names.length)
  })
})

describe('all of it', () => {
  const signals = Object.keys(SIGNALS) as Signal[]

  it.each(names)('of %s is as loud as any other, and never too loud together with a signal', async (name) => {
    const { piece } = await games[name].music()
    expect(loudest(piece)).toBeGreaterThan(0.3)
    expect(loudest(piece)).toBeLessThan(0.5)
    for (const signal of signals) expect(loudest(piece) + loudestOf(signal)).toBeLessThan(1)
  })
})

describe('a signal', () => {
  it.each(Object.keys(SIGNALS) as Signal[])('%s is short, and never loud', (signal) => {
    expect(lengthOf(signal)).toBeLessThan(4)
    const together = SIGNALS[signal].reduce((sum, tone) => sum + tone.loud, 0)
    expect(together).toBeLessThanOrEqual(1.1)
    expect(together).toBeGreaterThan(0)
  })

  it('for right rises, and for wrong falls', () => {
    const rises = (signal: Signal): boolean => SIGNALS[signal].at(-1)!.note > SIGNALS[signal][0]!.note
    expect([rises('right'), rises('wrong')]).toEqual([true, false])
  })
})
