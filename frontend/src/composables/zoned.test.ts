import { describe, expect, it } from 'vitest'
import { momentAt, wallOf } from './zoned'

describe('moments by the clocks of a zone', () => {
  it.each([
    ['UTC', '2026-11-30T18:00', '2026-11-30T18:00:00Z'],
    ['Europe/Oslo', '2026-11-30T18:00', '2026-11-30T17:00:00Z'],
    ['Europe/Oslo', '2026-06-30T18:00', '2026-06-30T16:00:00Z'],
    ['America/St_Johns', '2026-06-30T18:00', '2026-06-30T20:30:00Z'],
    ['Pacific/Auckland', '2026-12-31T00:15', '2026-12-30T11:15:00Z'],
  ])('%s %s', (zone, wall, moment) => {
    expect(momentAt(wall, zone)).toBe(Date.parse(moment))
    expect(wallOf(Date.parse(moment), zone)).toBe(wall)
  })

  it('takes an hour that is left out for the one after it, and what is no date for nothing', () => {
    expect(momentAt('2026-03-29T02:30', 'Europe/Oslo')).toBe(Date.parse('2026-03-29T01:30:00Z'))
    expect(momentAt('', 'UTC')).toBeNull()
  })
})
