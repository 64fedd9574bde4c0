import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, ref } from 'vue'
import { duration, fraction, ordinal, percent, score } from './format'
import { useTimeLeft } from './useTimeLeft'

describe('numbers as a teacher reads them', () => {
  it.each([
    [5, '5 s'],
    [60, '1 min'],
    [90, '1 min 30 s'],
    [0, '0 s'],
    [1200, '20 min'],
  ])('%i seconds are %s', (seconds, words) => expect(duration(seconds)).toBe(words))

  it.each([
    [1, '1st'],
    [2, '2nd'],
    [3, '3rd'],
    [4, '4th'],
    [11, '11th'],
    [22, '22nd'],
    [113, '113th'],
  ])('place %i is %s', (place, words) => expect(ordinal(place)).toBe(words))

  it.each([
    [0.5, '½'],
    [1 / 3, '⅓'],
    [0.6667, '⅔'],
    [0.4, '40'],
  ])('a mark of %d is %s', (mark, glyph) => expect(fraction(mark)).toBe(glyph))

  it('rounds shares and sums', () => {
    expect(percent(0.637)).toBe('64 %')
    expect(score(1 / 3 + 1 / 3)).toBe('0.67')
  })
})

describe('the time that is left', () => {
  beforeEach(() => vi.useFakeTimers({ now: 100_000 }))
  afterEach(() => vi.useRealTimers())

  it("follows the server's clock, not the device's", () => {
    const scope = effectScope()
    scope.run(() => {
      const span = { opened_at: 205_000, deadline: 215_000 }
      const { seconds, share } = useTimeLeft(() => span, ref(110_000))
      expect(seconds.value).toBe(5)
      expect(share.value).toBeCloseTo(0.5)
      vi.advanceTimersByTime(4000)
      expect(seconds.value).toBe(1)
      vi.advanceTimersByTime(9000)
      expect(seconds.value).toBe(0)
    })
    scope.stop()
  })

  it('is without end where there is no limit', () => {
    const scope = effectScope()
    scope.run(() => {
      const { seconds, share } = useTimeLeft(() => ({ opened_at: 1, deadline: null }), ref(0))
      expect([seconds.value, share.value]).toEqual([null, 1])
    })
    scope.stop()
  })
})
