import { describe, expect, it } from 'vitest'
import type { Progress } from '@/api/types'
import { idleSaid, paneOf, shareSaid, sorted } from './progress'

const line = (name: string, more: Partial<Progress> = {}): Progress =>
  ({ name, answered: 0, of: 4, right: 0, marked: 0, handed_in: null, last: 1000, ...more }) as Progress
const names = (lines: Progress[]): string[] => lines.map((one) => one.name)

describe('the lines of the desk at own pace', () => {
  const all = [
    line('Ines', { answered: 4, right: 1, marked: 4, handed_in: 'hand' }),
    line('Bo', { answered: 2, right: 2, marked: 2 }),
    line('Fen', { answered: 1, right: 0.5, marked: 1 }),
    line('Alva'),
  ]

  it('stand by name, by who is least far, by who is least right', () => {
    expect(names(sorted(all, 'name', 'en'))).toEqual(['Alva', 'Bo', 'Fen', 'Ines'])
    expect(names(sorted(all, 'progress', 'en'))).toEqual(['Alva', 'Fen', 'Bo', 'Ines'])
    expect(names(sorted(all, 'share', 'en'))).toEqual(['Alva', 'Ines', 'Fen', 'Bo'])
  })

  it('say the share of what is marked, and nothing where nothing is', () => {
    expect(all.map(shareSaid)).toEqual(['25 %', '100 %', '50 %', ''])
  })

  it('call nobody idle who has just done something, has handed in, or has not begun', () => {
    expect(idleSaid(line('Bo'), 30_000)).toBe('')
    expect(idleSaid(line('Bo'), 200_000)).toBe('3 min')
    expect(idleSaid(line('Bo', { handed_in: 'hand' }), 200_000)).toBe('')
    expect(idleSaid(line('Bo', { last: 0 }), 200_000)).toBe('')
  })

  it('have panes from signs', () => {
    expect([...'-.a05R'].map(paneOf)).toEqual([undefined, null, '•', 0, 0.5, 1])
  })
})
