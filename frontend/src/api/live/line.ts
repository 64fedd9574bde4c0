/**
 * The line to a running session.
 *
 * 1. Every message is a whole view: coming back needs no history.
 * 2. No command is lost, and sending one twice counts once (`outbox`).
 * 3. WebSocket first. Where that cannot be opened but HTTP works, the same views and commands go over
 *    HTTP; when HTTP fails as well, the network is away, and both are tried again.
 * 4. A line that ended with its sign-in is tried once more: this browser may have a newer one, as after a
 *    changed password.
 */
import { onScopeDispose, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { Refusal } from '../refusal'
import type { ErrorReply } from '../types'
import { useServerClock } from './clock'
import { createOutbox } from './outbox'
import { openSocket, postCommand, servePolls, type Heard, type SocketWay } from './ways'

export type LineStatus = 'connecting' | 'online' | 'offline' | 'gone'
export type Way = 'socket' | 'http'

export interface LineOptions {
  /** Path of the socket, as "/live/student". */
  socket: string
  /** The first message on the socket, if it wants one. */
  hello?: () => string
  /** Path of the request that waits for the next view. */
  poll: string
  /** Path that takes one command. Screens send none. */
  commands?: string
  headers?: () => Record<string, string>
}

interface Envelope {
  now: number
  version: string
}

export interface Line<M extends Envelope> {
  /** The last message; null before the first. */
  message: ShallowRef<M | null>
  status: Ref<LineStatus>
  way: Ref<Way>
  /** Why the server will not serve this line at all. */
  gone: Ref<Refusal | null>
  /** Server time minus this device's, in milliseconds. */
  offset: Ref<number>
  /** Resolves once stored; rejects with a Refusal when the server refuses. Survives reconnections. */
  send: (command: { id: string }) => Promise<void>
  close: () => void
}

const RETRY_AFTER = [300, 700, 1500, 3000, 5000]

export function openLine<M extends Envelope>(options: LineOptions): Line<M> {
  const message: ShallowRef<M | null> = shallowRef(null)
  const status = ref<LineStatus>('connecting')
  const way = ref<Way>('socket')
  const gone = ref<Refusal | null>(null)
  const clock = useServerClock()
  const outbox = createOutbox(transmit)
  const headers = (): Record<string, string> => options.headers?.() ?? {}
  let socket: SocketWay | null = null
  let stopped = false
  let signedOut: ErrorReply | null = null
  let wake: () => void = () => {}

  const heard = (by: Way): Heard<M> => ({
    view(next, served) {
      way.value = by
      clock.guess(next.now)
      message.value = next
      status.value = 'online'
      signedOut = null
      if (!served) outbox.next()
    },
    ack: outbox.settle,
    gone: end,
    clock: clock.tell,
  })

  function end(why: ErrorReply): void {
    if (why.code === 'signed_out' && !signedOut) {
      signedOut = why
      return
    }
    const reply = signedOut ?? why
    gone.value = new Refusal(reply)
    status.value = 'gone'
    stopped = true
  }

  function transmit(text: string, id: string): void {
    if (status.value !== 'online' || socket?.send(text) || way.value !== 'http') return
    void postCommand(options.commands!, headers, text).then((error) =>
      error === 'later' ? outbox.later(id) : outbox.settle(id, error),
    )
  }

  async function serveSocket(): Promise<boolean> {
    const current = (socket = openSocket<M>(options.socket, options.hello?.(), heard('socket')))
    const opened = await current.served
    if (socket === current) socket = null
    if (!stopped) status.value = 'connecting'
    return opened
  }

  function pause(ms: number): Promise<void> {
    return new Promise((resolve) => {
      const timer = setTimeout(resolve, ms)
      wake = () => {
        clearTimeout(timer)
        resolve()
      }
    })
  }

  async function run(): Promise<void> {
    let failures = 0
    while (!stopped) {
      if (await serveSocket()) failures = 0
      else if (!stopped && (await servePolls<M>(options.poll, headers, heard('http'), () => !stopped)))
        failures = 0
      if (stopped) return
      if (failures > 0 || !navigator.onLine) status.value = 'offline'
      const wait = RETRY_AFTER[Math.min(failures++, RETRY_AFTER.length - 1)]!
      await pause(wait * (0.7 + 0.6 * Math.random()))
    }
  }

  /** A phone that wakes up, or finds its network again, does not wait for the next try. */
  function backAgain(): void {
    if (document.visibilityState === 'visible') wake()
  }
  function networkGone(): void {
    status.value = 'offline'
    socket?.close()
  }

  addEventListener('online', backAgain)
  addEventListener('offline', networkGone)
  document.addEventListener('visibilitychange', backAgain)

  function close(): void {
    stopped = true
    removeEventListener('online', backAgain)
    removeEventListener('offline', networkGone)
    document.removeEventListener('visibilitychange', backAgain)
    socket?.close()
    wake()
    outbox.giveUp()
  }

  void run()
  onScopeDispose(close)
  return { message, status, way, gone, offset: clock.offset, send: outbox.send, close }
}
