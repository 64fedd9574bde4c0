import { describe, expect, it } from 'vitest'
import type { MyPaper } from '@/api/types'
import { paperTime } from '../useSeat'
import { placesOf } from './papers'
import { same } from './same'

const paper: MyPaper = {
  items: ['q2', 'p1', 'q1'],
  pages: ['p1'],
  at: 'q1',
  answered: ['q2'],
  flagged: ['q1'],
  began_at: 1000,
  deadline: null,
  reached_at: 5000,
  due: null,
  went: 0,
  handed_in: null,
}

describe('a paper', () => {
  it('numbers its questions in its own order, and no pages', () => {
    expect(placesOf(paper).map((one) => [one.item, one.number, one.answered, one.flagged, one.here])).toEqual(
      [
        ['q2', 1, true, false, false],
        ['p1', null, false, false, false],
        ['q1', 2, false, true, true],
      ],
    )
  })

  it('runs by what is over first', () => {
    expect(paperTime(paper)).toEqual({ opened_at: 1000, deadline: null })
    expect(paperTime({ ...paper, deadline: 9000 })).toEqual({ opened_at: 1000, deadline: 9000 })
    expect(paperTime({ ...paper, deadline: 9000, due: 8000 })).toEqual({ opened_at: 5000, deadline: 8000 })
    expect(paperTime({ ...paper, deadline: 7000, due: 8000 })).toEqual({ opened_at: 1000, deadline: 7000 })
  })
})

describe('two answers', () => {
  it('are the same in whatever order their parts stand', () => {
    expect(same({ kind: 'choice', chosen: ['A'] }, { chosen: ['A'], kind: 'choice' })).toBe(true)
    expect(same({ kind: 'choice', chosen: ['A'] }, { kind: 'choice', chosen: ['B'] })).toBe(false)
    expect(same(null, { kind: 'choice', chosen: ['A'] })).toBe(false)
  })
})
