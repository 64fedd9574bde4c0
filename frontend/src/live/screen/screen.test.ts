import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { looks, nextLook, type Look } from './bigScreen'
import { cueOf, momentOf, playsPiece, type Moment } from './cues'

const at = (phase: Moment['phase'], seconds: number | null = null, result = false, lit = 0): Moment => ({
  phase,
  seconds,
  result,
  lit,
})

describe('what there is to hear', () => {
  it('ticks once for each of the last five seconds', () => {
    const heard = [9, 7, 6, 5, 5, 4, 3, 2, 1, 0].map((left, index, all) =>
      cueOf(index ? at('open', all[index - 1]!) : null, at('open', left)),
    )
    expect(heard.filter((cue) => cue === 'tick')).toHaveLength(5)
    expect(heard[1]).toBeNull()
  })

  it('has a chord as a result is shown, and as what is right is', () => {
    expect(cueOf(at('open', 3), at('closed', null, true))).toBe('result')
    expect(cueOf(at('closed', null, true), at('revealed', null, true))).toBe('result')
    expect(cueOf(at('closed', null, true), at('closed', null, true))).toBeNull()
    expect(cueOf(at('open', 3), at('closed'))).toBeNull() // the curtain is drawn
    expect(cueOf(at('closed'), at('closed', null, true))).toBe('result')
  })

  it('says what was lit, once the board is looked at, and the end', () => {
    expect(cueOf(at('revealed', null, true, 2), at('standings', null, false, 3))).toBe('lit')
    expect(cueOf(at('revealed', null, true, 3), at('standings', null, false, 3))).toBeNull()
    expect(cueOf(at('closed', null, true, 2), at('revealed', null, true, 3))).toBe('result')
    expect(cueOf(at('working', null, false, 2), at('working', null, false, 5))).toBe('lit')
    expect(cueOf(at('standings'), at('ended', null, false, 9))).toBe('end')
    expect(cueOf(at('ended'), at('ended'))).toBeNull()
  })

  it('says nothing to who has just opened the page, nor after a pause', () => {
    expect(cueOf(null, at('closed', null, true))).toBeNull()
    expect(cueOf(at(null), at('revealed', null, true))).toBeNull()
    expect(cueOf(at(null), at('open', 4))).toBeNull()
    expect(cueOf(at(null), at('working', null, false, 8))).toBeNull()
    expect(cueOf(null, at('ended'))).toBeNull()
  })

  it('plays while nothing is asked, and a game is played or all wait', () => {
    expect(playsPiece(at('lobby'), false)).toBe(true)
    expect(playsPiece(at('open', 20), true)).toBe(false)
    expect(playsPiece(at('working'), true)).toBe(true)
    expect(playsPiece(at('working'), false)).toBe(false)
    expect(playsPiece(at('standings'), true)).toBe(true)
    expect(playsPiece(momentOf(null, null), true)).toBe(false)
  })
})

const styles = ['tokens', 'looks'].map((name) => readFileSync(`src/styles/${name}.css`, 'utf8')).join('\n')
const PAIRS = [
  ['front', 'ground'],
  ['front', 'strip'],
  ['front', 'bar'],
  ['front', 'near'],
  ['front', 'far'],
  ['soft', 'ground'],
  ['soft', 'strip'],
  ['soft', 'near'],
  ['soft', 'far'],
  ['light', 'ground'],
  ['light', 'near'],
] as const

function luminance(colour: string): number {
  const [r, g, b] = [1, 3, 5]
    .map((from) => parseInt(colour.slice(from, from + 2), 16) / 255)
    .map((part) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4)) as [
    number,
    number,
    number,
  ]
  return 0.2126 * r + 0.7152 * g + 0.0722 * b
}
function contrast(one: string, other: string): number {
  const [low, high] = [luminance(one), luminance(other)].sort((a, b) => a - b) as [number, number]
  return (high + 0.05) / (low + 0.05)
}

describe.each(Object.keys(looks()) as Look[])('the look %s', (look) => {
  const found = styles.match(new RegExp(`\\.${look}\\s*\\{([^}]*)\\}`))![1]!
  const colours = Object.fromEntries(
    [...found.matchAll(/--([a-z-]+): (#[0-9a-f]{6})/g)].map(([, n, c]) => [n, c]),
  )

  it.each(PAIRS)('can be read: %s on %s', (text, behind) => {
    expect(contrast(colours[text]!, colours[behind]!)).toBeGreaterThanOrEqual(4.5)
  })

  it('is one of a round', () => {
    expect(nextLook(look) in looks()).toBe(true)
  })
})
