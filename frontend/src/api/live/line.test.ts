import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope, nextTick, type EffectScope } from 'vue'
import { openLine, type Line } from '.'

interface Message {
  now: number
  version: string
  view: { phase: string }
}

/** A socket under the test's control. */
class FakeSocket {
  static all: FakeSocket[] = []
  static blocked = false
  readyState = 0
  sent: Record<string, unknown>[] = []
  onopen?: () => void
  onmessage?: (event: { data: string }) => void
  onclose?: () => void

  constructor(readonly url: string) {
    if (FakeSocket.blocked) throw new Error('blocked')
    FakeSocket.all.push(this)
  }
  send(text: string): void {
    this.sent.push(JSON.parse(text))
  }
  close(): void {
    this.readyState = 3
    this.onclose?.()
  }
  open(): void {
    this.readyState = 1
    this.onopen?.()
  }
  say(body: unknown): void {
    this.onmessage?.({ data: JSON.stringify(body) })
  }
  get commands() {
    return this.sent.filter((one) => 'id' in one)
  }
}

const view = (phase: string, version = phase): Message => ({ now: Date.now(), version, view: { phase } })
const last = (): FakeSocket => FakeSocket.all.at(-1)!
const settle = (): Promise<unknown> => vi.advanceTimersByTimeAsync(0)

let scope: EffectScope
let fetches: ReturnType<typeof vi.fn>

function open(): Line<Message> {
  return scope.run(() =>
    openLine<Message>({
      socket: '/live/student',
      hello: () => '{"token":"t"}',
      poll: '/poll',
      commands: '/commands',
      headers: () => ({ Authorization: 'Bearer t' }),
    }),
  )!
}

beforeEach(() => {
  vi.useFakeTimers()
  FakeSocket.all = []
  FakeSocket.blocked = false
  vi.stubGlobal('WebSocket', FakeSocket)
  fetches = vi.fn(() => Promise.reject(new TypeError('no network')))
  vi.stubGlobal('fetch', fetches)
  scope = effectScope()
})

afterEach(() => {
  scope.stop()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

describe('a line over a socket', () => {
  it('says who it is, then shows each view whole', async () => {
    const line = open()
    last().open()
    expect(last().sent[0]).toEqual({ token: 't' })
    last().say(view('lobby'))
    expect(line.status.value).toBe('online')
    last().say(view('open'))
    expect(line.message.value?.view.phase).toBe('open')
  })

  it('settles a command when the server has stored it, and not before', async () => {
    const line = open()
    last().open()
    last().say(view('open'))
    const done = vi.fn()
    void line.send({ id: 'a' }).then(done, () => undefined)
    await settle()
    expect(done).not.toHaveBeenCalled()
    last().say({ ack: 'a' })
    await settle()
    expect(done).toHaveBeenCalled()
  })

  it('tells why a command was refused', async () => {
    const line = open()
    last().open()
    last().say(view('open'))
    const sent = line.send({ id: 'a' })
    last().say({ ack: 'a', error: { code: 'too_late', sentence: 'The time had just run out.' } })
    await expect(sent).rejects.toMatchObject({ code: 'too_late', sentence: 'The time had just run out.' })
  })

  it('sends what was not acknowledged again after coming back', async () => {
    const line = open()
    last().open()
    last().say(view('open'))
    void line.send({ id: 'a' }).catch(() => undefined)
    expect(last().commands).toEqual([{ id: 'a' }])
    last().close()
    await vi.advanceTimersByTimeAsync(1000)
    expect(FakeSocket.all).toHaveLength(2)
    last().open()
    last().say(view('open'))
    expect(last().commands).toEqual([{ id: 'a' }])
    last().say({ ack: 'a' })
    last().close()
    await vi.advanceTimersByTimeAsync(1000)
    last().open()
    last().say(view('open'))
    expect(last().commands).toEqual([])
  })

  it('keeps a command that is sent while there is no connection', async () => {
    const line = open()
    void line.send({ id: 'early' }).catch(() => undefined)
    expect(last().commands).toEqual([])
    last().open()
    last().say(view('open'))
    expect(last().commands).toEqual([{ id: 'early' }])
  })

  it('sends one at a time, so that their numbers reach the server rising', async () => {
    const line = open()
    last().open()
    last().say(view('open'))
    for (const id of ['a', 'b', 'c']) void line.send({ id }).catch(() => undefined)
    expect(last().commands).toEqual([{ id: 'a' }])
    last().say({ ack: 'a', error: { code: 'not_stored', sentence: 'Later.' } })
    expect(last().commands).toEqual([{ id: 'a' }])
    last().close()
    await vi.advanceTimersByTimeAsync(500)
    last().open()
    last().say(view('open'))
    last().say({ ack: 'a' })
    last().say({ ack: 'a' })
    last().say({ ack: 'c' })
    expect(last().commands).toEqual([{ id: 'a' }, { id: 'b' }])
    last().say({ ack: 'b' })
    expect(last().commands).toEqual([{ id: 'a' }, { id: 'b' }, { id: 'c' }])
  })

  it('tries a command again that the server could not store just then', async () => {
    const line = open()
    last().open()
    last().say(view('open'))
    void line.send({ id: 'a' }).catch(() => undefined)
    last().say({ ack: 'a', error: { code: 'not_stored', sentence: 'Later.' } })
    await vi.advanceTimersByTimeAsync(1100)
    expect(last().commands).toEqual([{ id: 'a' }, { id: 'a' }])
  })

  it('leaves a line that answers no ping and opens another', async () => {
    open()
    last().open()
    last().say(view('open'))
    await vi.advanceTimersByTimeAsync(25_000)
    expect(FakeSocket.all.length).toBeGreaterThan(1)
  })

  it('learns the clock of the server from the shortest round trip', async () => {
    const line = open()
    last().open()
    last().say(view('open'))
    await vi.advanceTimersByTimeAsync(100)
    last().say({ now: Date.now() + 5000 - 50 })
    expect(line.offset.value).toBe(5000)
  })

  it('stops when the server will not serve it at all', async () => {
    const line = open()
    last().open()
    last().say({ gone: { code: 'unknown_seat', sentence: 'Join again.' } })
    last().close()
    await vi.advanceTimersByTimeAsync(20_000)
    expect(line.gone.value?.sentence).toBe('Join again.')
    expect(FakeSocket.all).toHaveLength(1)
  })

  const signedOut = { gone: { code: 'signed_out', sentence: 'Sign in first.' } }

  /** The server ends the line, and the page tries once more. */
  async function endsAndTriesAgain(): Promise<void> {
    last().say(signedOut)
    last().close()
    await vi.advanceTimersByTimeAsync(2000)
    last().open()
  }

  it('goes on where the sign-in was renewed: a changed password ends the old one for everybody', async () => {
    const line = open()
    last().open()
    last().say(view('open'))
    for (const phase of ['closed', 'standings']) {
      await endsAndTriesAgain()
      expect(line.gone.value).toBeNull()
      last().say(view(phase))
      expect(line.message.value?.view.phase).toBe(phase)
    }
    expect(FakeSocket.all).toHaveLength(3)
  })

  it('says that one has to sign in where it was not, whatever a stranger is told', async () => {
    const line = open()
    last().open()
    last().say(view('open'))
    await endsAndTriesAgain()
    last().say({ gone: { code: 'not_found', sentence: 'This session does not exist.' } })
    last().close()
    await vi.advanceTimersByTimeAsync(20_000)
    expect(line.gone.value?.sentence).toBe('Sign in first.')
    expect(FakeSocket.all).toHaveLength(2)
  })

  it('is offline while nothing can be reached, and back as soon as the network is', async () => {
    const line = open()
    last().close()
    await vi.advanceTimersByTimeAsync(2000)
    last().close()
    await vi.advanceTimersByTimeAsync(0)
    expect(line.status.value).toBe('offline')
    const before = FakeSocket.all.length
    dispatchEvent(new Event('online'))
    await vi.advanceTimersByTimeAsync(0)
    expect(FakeSocket.all.length).toBeGreaterThan(before)
  })

  it('closes with the page that opened it', async () => {
    open()
    last().open()
    scope.stop()
    await vi.advanceTimersByTimeAsync(20_000)
    expect(FakeSocket.all).toHaveLength(1)
    expect(last().readyState).toBe(3)
  })
})

describe('where sockets are blocked', () => {
  const reply = (body: unknown, status = 200) => ({
    ok: status < 400,
    status,
    json: () => Promise.resolve(body),
  })

  beforeEach(() => {
    FakeSocket.blocked = true
  })

  it('asks for views over HTTP, each time for what comes after the last', async () => {
    const waiting: ((value: unknown) => void)[] = []
    fetches.mockImplementation(() => new Promise((resolve) => waiting.push(resolve)))
    const line = open()
    await settle()
    waiting[0]!(reply(view('lobby', 'v1')))
    await settle()
    expect(line.way.value).toBe('http')
    expect(fetches.mock.calls[1]![0]).toBe('/poll?after=v1')
    waiting[1]!(reply(undefined, 204))
    await settle()
    waiting[2]!(reply(view('open', 'v2')))
    await settle()
    expect(line.message.value?.view.phase).toBe('open')
    expect(fetches.mock.calls[3]![0]).toBe('/poll?after=v2')
  })

  it('sends commands over HTTP, and tells refusals the same way', async () => {
    fetches.mockImplementation((path: string) => {
      if (path === '/commands') return Promise.resolve(reply({ code: 'not_open', sentence: 'Closed.' }, 409))
      return path === '/poll' ? Promise.resolve(reply(view('open', 'v1'))) : new Promise(() => {})
    })
    const line = open()
    await settle()
    await expect(line.send({ id: 'a' })).rejects.toMatchObject({ code: 'not_open' })
  })

  it('stops when the server does not know the seat', async () => {
    fetches.mockResolvedValue(reply({ code: 'unknown_seat', sentence: 'Join again.' }, 404))
    const line = open()
    await settle()
    await nextTick()
    expect(line.status.value).toBe('gone')
  })
})
