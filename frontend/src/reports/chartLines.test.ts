import { describe, expect, it } from 'vitest'
import type { ClassResults } from '@/api/types'
import { linesOf, MOST_TOPICS } from './chartLines'

const point = (session: number, share: number | null) => ({ session, share, marks: share === null ? 0 : 1 })
const topic = (name: string, ...shares: (number | null)[]) => ({
  topic: name,
  share: 0.5,
  marks: 1,
  points: shares.map((share, at) => point(at, share)),
})
const results = (...topics: ReturnType<typeof topic>[]): ClassResults['results'] => ({
  sessions: [
    { id: 1, title: 'A', at: 1, share: 0.4 },
    { id: 2, title: 'B', at: 2, share: null },
  ],
  topics,
  students: [],
  asked_again: [],
})

describe('the lines of a chart', () => {
  it('begin with the whole, a gap where nothing was asked', () => {
    expect(linesOf(results(), 'Everything')).toEqual([{ name: 'Everything', shares: [0.4, null] }])
  })

  it('leave out a topic that was asked once: a point is no line', () => {
    const names = linesOf(results(topic('once', 0.2, null), topic('twice', 0.2, 0.3)), 'x').map(
      (one) => one.name,
    )
    expect(names).toEqual(['x', 'twice'])
  })

  it('are few enough to be told apart, the weakest first', () => {
    const many = [...'abcdefgh'].map((name) => topic(name, 0.1, 0.2))
    expect(linesOf(results(...many), 'x').map((one) => one.name)).toEqual([
      'x',
      ...'abcdefgh'.slice(0, MOST_TOPICS),
    ])
  })
})
