import { describe, expect, it } from 'vitest'
import type { AttemptMessage, AttemptReply, OnPaper, StudentCommand } from '@/api/types'
import { after, mineOf, questionOn, told } from './local'

const question = (item: string): OnPaper =>
  ({
    shown: { item: { id: item, kind: 'choice' }, ask: `${item}.1` },
    answer: null,
    number: 0,
    mark: null,
    forgiven: [],
    left_out: [],
    reached_at: null,
    due: null,
  }) as unknown as OnPaper

const begun = (): AttemptMessage =>
  ({
    now: 1,
    attempt: 1,
    view: {},
    mine: {
      moved: 0,
      paper: {
        items: ['q1', 'q2'],
        pages: [],
        at: 'q1',
        answered: [],
        flagged: [],
        began_at: 1,
        deadline: null,
        reached_at: 1,
        due: null,
        went: 0,
        handed_in: null,
      },
    },
    questions: [question('q1'), question('q2')],
  }) as unknown as AttemptMessage

const answer = (ask: string, letter: string, number: number, movesOn = true): StudentCommand =>
  ({
    id: `${ask}${number}`,
    number,
    command: { do: 'answer', ask, answer: { kind: 'choice', chosen: [letter] }, moves_on: movesOn },
  }) as StudentCommand

describe('an attempt as the device has it', () => {
  it('has an answer at once, and the question after it', () => {
    const now = after(begun(), answer('q1.1', 'B', 1))
    expect(now.mine.paper).toMatchObject({ at: 'q2', answered: ['q1'] })
    expect(questionOn(now)?.shown.item.id).toBe('q2')
    expect(mineOf(now)).toMatchObject({ ask: 'q2.1', answer: null })
  })

  it('stays where it is with the last answer, and where one does not move on', () => {
    expect(after(begun(), answer('q2.1', 'B', 1)).mine.paper!.at).toBe('q1')
    expect(after(begun(), answer('q1.1', 'B', 1, false)).mine.paper!.at).toBe('q1')
  })

  it('takes answers back, flags, and goes, in the order in which it was done', () => {
    const done: StudentCommand[] = [
      answer('q1.1', 'B', 1, false),
      { id: 'a', number: 1, command: { do: 'flag', item: 'q1', flagged: true } },
      { id: 'b', number: 2, command: { do: 'clear', ask: 'q1.1' } },
      { id: 'c', number: 2, command: { do: 'go_to', item: 'q2' } },
    ]
    const now = done.reduce(after, begun())
    expect(now.mine.paper).toMatchObject({ at: 'q2', answered: [], flagged: ['q1'], went: 2 })
    expect(now.questions[0]).toMatchObject({ answer: null, number: 2 })
  })

  it('takes the server’s word for what it tells, and keeps its own for the rest', () => {
    const said = answer('q1.1', 'B', 1)
    const reply = {
      id: said.id,
      now: 9,
      mine: { paper: { ...begun().mine.paper!, at: 'q2', answered: ['q1'] } },
      questions: [{ ...question('q1'), number: 1, mark: 1 }],
    } as unknown as AttemptReply
    const now = told(begun(), said, reply)
    expect(now.questions.map((one) => one.mark)).toEqual([1, null])
    expect(now.now).toBe(9)
    const silent = told(begun(), said, { ...reply, questions: [] })
    expect(silent.questions[0]!.answer).toEqual({ kind: 'choice', chosen: ['B'] })
  })
})
