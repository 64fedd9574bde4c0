import { describe, expect, it } from 'vitest'
import { signalOf, type Heard } from './heard'

const at = (told = '', mark: number | null = null, moved = 0, ended = false): Heard => ({
  ended,
  told,
  mark,
  moved,
})

describe('what a device lets its student hear', () => {
  it('is right or wrong, once for each answer that is told', () => {
    expect(signalOf(at(), at('q1.1', 1))).toBe('right')
    expect(signalOf(at(), at('q1.1', 0.5))).toBe('wrong')
    expect(signalOf(at('q1.1', 1), at('q1.1', 1))).toBeNull()
    expect(signalOf(at('q1.1', 1), at('q2.1', 0))).toBe('wrong')
    expect(signalOf(at('q1.1', 1), at())).toBeNull()
  })

  it('is a light for what one does in a game, and a chord for the end', () => {
    expect(signalOf(at('', null, 1), at('', null, 2))).toBe('lit')
    expect(signalOf(at(), at('', null, 0, true))).toBe('end')
    expect(signalOf(at('', null, 0, true), at('', null, 0, true))).toBeNull()
  })

  it('is nothing as a page is opened', () => {
    expect(signalOf(null, at('q1.1', 1))).toBeNull()
  })
})
