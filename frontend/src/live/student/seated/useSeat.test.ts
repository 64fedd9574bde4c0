import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, type EffectScope } from 'vue'
import type { Joined, Shown, StudentAnswer } from '@/api/types'
import { ownTime, useSeat, type PaperLink, type SeatLink } from './useSeat'

interface Sent {
  id: string
  number: number
  command: { ask: string; answer: StudentAnswer }
}

/** The socket that is open just now; what was sent on it. */
let socket: FakeSocket

class FakeSocket {
  readyState = 1
  texts: Record<string, unknown>[] = []
  onopen?: () => void
  onmessage?: (event: { data: string }) => void
  onclose?: () => void
  constructor() {
    // eslint-disable-next-line @typescript-eslint/no-this-alias
    socket = this
  }
  send(text: string): void {
    this.texts.push(JSON.parse(text))
  }
  close(): void {
    this.readyState = 3
    this.onclose?.()
  }
  say(body: unknown): void {
    this.onmessage?.({ data: JSON.stringify(body) })
  }
  get commands(): Sent[] {
    return this.texts.filter((one) => 'command' in one) as unknown as Sent[]
  }
}

const SEAT: Joined = { token: 'a-token', code: 'KELP427', title: 'Knots', name: 'Fen', seat: 1 }
const A: StudentAnswer = { kind: 'choice', chosen: ['A'] }
const B: StudentAnswer = { kind: 'choice', chosen: ['B'] }
let scope: EffectScope

const show = (ask: string): void =>
  socket.say({
    now: Date.now(),
    version: ask,
    view: { phase: 'open', step: 1, shown: { ask, item: { id: 'q1' } } },
  })

function open(): SeatLink {
  scope = effectScope()
  const link = scope.run(() => useSeat(SEAT))!
  socket.onopen?.()
  return link
}

beforeEach(() => {
  vi.useFakeTimers()
  vi.stubGlobal('WebSocket', FakeSocket)
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')))
  localStorage.clear()
})

afterEach(() => {
  scope.stop()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a seat', () => {
  it('keeps an answer until it is stored, and through a page that was closed', async () => {
    const first = open()
    show('q1.1')
    first.send('q1', A)
    await nextTick()
    const sent = socket.commands[0]!
    expect(sent).toMatchObject({ number: 1, command: { do: 'answer', ask: 'q1.1', answer: A } })
    expect(first.state.value).toBe('sending')
    scope.stop()
    const again = open()
    show('q1.1')
    expect(socket.commands).toEqual([sent])
    expect(again.answer.value).toEqual(A)
    socket.say({ ack: sent.id })
    await vi.advanceTimersByTimeAsync(0)
    expect(again.state.value).toBe('sent')
    scope.stop()
    open()
    show('q1.1')
    expect(socket.commands).toEqual([])
  })

  it('holds one command for each ask, and shows a new round empty', async () => {
    const link = open()
    show('q1.1')
    link.send('q1', A)
    show('q1.2') // asked again before the first was acknowledged
    expect([link.state.value, link.answer.value]).toEqual(['none', null])
    link.send('q1', B)
    expect(Object.keys(JSON.parse(localStorage.getItem('lantern.pending.a-token')!))).toEqual([
      'q1.1',
      'q1.2',
    ])
    expect(socket.commands.map((one) => one.command.ask)).toEqual(['q1.1'])
    socket.say({ ack: socket.commands[0]!.id, error: { code: 'not_open', sentence: 'Closed.' } })
    await vi.advanceTimersByTimeAsync(0)
    expect(socket.commands.map((one) => one.command.ask)).toEqual(['q1.1', 'q1.2'])
    expect([link.state.value, link.answer.value]).toEqual(['sending', B])
  })

  it('numbers what is sent once more for the same ask, and says why it was refused', async () => {
    const link = open()
    show('q1.1')
    link.send('q1', A)
    socket.say({
      ack: socket.commands[0]!.id,
      error: { code: 'choose_one_option', family: 'bad_answer', sentence: 'Choose again.' },
    })
    await vi.advanceTimersByTimeAsync(0)
    expect([link.state.value, link.refusal.value?.again]).toEqual(['refused', true])
    link.send('q1', B)
    expect(socket.commands.map((one) => one.number)).toEqual([1, 2])
    expect(link.state.value).toBe('sending')
  })

  it('goes on from the numbers that the server knows, after a reload or on another device', () => {
    const link = open()
    const mine = { ask: 'q1.1', number: 7, answer: A, paper: { went: 4 } }
    socket.say({ now: 0, version: 'x', view: { phase: 'working', shown: { ask: 'q1.1' } }, mine })
    link.send('q1', B)
    socket.say({ ack: socket.commands[0]!.id })
    expect(socket.commands[0]).toMatchObject({ number: 8, command: { answer: B, moves_on: false } })
  })

  it('numbers its goings and flags in one row, and says why one was refused', async () => {
    const { own } = open() as PaperLink
    const mine = { ask: 'q1.1', number: 0, answer: null, paper: { went: 4 } }
    socket.say({ now: 0, version: 'x', view: { phase: 'working', shown: { ask: 'q1.1' } }, mine })
    const went = own.go('q2')
    socket.say({ ack: socket.commands[0]!.id })
    expect(await went).toBe(true)
    const flagged = own.flag('q2', true)
    expect(socket.commands.map((one) => one.number)).toEqual([5, 6])
    const error = { code: 'handed_in', family: 'not_possible', sentence: 'Handed in.' }
    socket.say({ ack: socket.commands[1]!.id, error })
    expect([await flagged, own.notice.value]).toEqual([false, 'Handed in.'])
  })

  it('takes what the server has for what stands, over what was sent from here before', async () => {
    const link = open()
    show('q1.1')
    link.send('q1', A)
    socket.say({ ack: socket.commands[0]!.id })
    await vi.advanceTimersByTimeAsync(0)
    expect(link.answer.value).toEqual(A)
    const mine = { ask: 'q1.1', number: 9, answer: B }
    socket.say({
      now: 0,
      version: 'y',
      view: { phase: 'open', shown: { ask: 'q1.1', item: { id: 'q1' } } },
      mine,
    })
    await nextTick()
    expect(link.answer.value).toEqual(B)
  })

  it('leaves aside what an older page kept in another form', () => {
    localStorage.setItem('lantern.pending.a-token', JSON.stringify({ id: 'x', item: 'q1', answer: A }))
    open()
    show('q1.1')
    expect(socket.commands).toEqual([])
  })
})

describe('the time of a question', () => {
  const shown = { opened_at: 1000, deadline: 21_000 } as Shown

  it('is everybody’s, unless one needs more', () => {
    expect(ownTime(shown, null)).toBe(shown)
    expect(ownTime(shown, { time: 1.5 })).toEqual({ opened_at: 1000, deadline: 31_000 })
    expect(ownTime(shown, { no_limit: true })).toEqual({ opened_at: 1000, deadline: null })
  })
})
