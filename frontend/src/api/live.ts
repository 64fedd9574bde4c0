/**
 * The line to a running session.
 *
 * 1. Every message is a whole view: coming back needs no history.
 * 2. A command is kept until the server says it is stored, and sent again after every reconnection;
 *    its id makes sending twice count once.
 * 3. WebSocket first. Where that cannot be opened but HTTP works, the same views and commands go over
 *    HTTP; when HTTP fails as well, the network is away, and both are tried again.
 * 4. A line that ended with its sign-in is tried once more: this browser may have a newer one, as after a
 *    changed password.
 */
import { onScopeDispose, ref, shallowRef, type Ref, type ShallowRef } from 'vue'
import { OFFLINE, Refusal, refusalFrom } from './refusal'
import type { ErrorReply } from './types'

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

interface Waiting {
  text: string
  done: () => void
  refused: (why: Refusal) => void
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

/** `WebSocket.OPEN`. */
const IS_OPEN = 1
const OPEN_WITHIN = 4000
const PING_EVERY = 10_000
const RETRY_AFTER = [300, 700, 1500, 3000, 5000]

export function openLine<M extends Envelope>(options: LineOptions): Line<M> {
  const message: ShallowRef<M | null> = shallowRef(null)
  const status = ref<LineStatus>('connecting')
  const way = ref<Way>('socket')
  const gone = ref<Refusal | null>(null)
  const offset = ref(0)
  const outbox = new Map<string, Waiting>()
  let bestTrip = Infinity
  let socket: WebSocket | null = null
  let stopped = false
  let signedOut: ErrorReply | null = null
  let wake: () => void = () => {}

  function take(next: M): void {
    if (bestTrip === Infinity) offset.value = next.now - Date.now()
    message.value = next
    status.value = 'online'
    signedOut = null
  }

  /** The shortest round trip tells the server's clock best. */
  function setClock(now: number, sentAt: number): void {
    const trip = Date.now() - sentAt
    if (trip > bestTrip) return
    bestTrip = trip
    offset.value = now + trip / 2 - Date.now()
  }

  function settle(id: string, error?: ErrorReply | null): void {
    const waiting = outbox.get(id)
    if (!waiting) return
    if (error?.code === 'not_stored') {
      setTimeout(() => transmit(waiting.text, id), 1000)
      return
    }
    outbox.delete(id)
    if (error) waiting.refused(new Refusal(error.code, error.sentence, error.field ?? null))
    else waiting.done()
  }

  function end(why: ErrorReply): void {
    if (why.code === 'signed_out' && !signedOut) {
      signedOut = why
      return
    }
    const reply = signedOut ?? why
    gone.value = new Refusal(reply.code, reply.sentence)
    status.value = 'gone'
    stopped = true
  }

  function transmit(text: string, id: string): void {
    if (socket?.readyState === IS_OPEN && status.value === 'online') socket.send(text)
    else if (way.value === 'http' && status.value === 'online') void post(text, id)
  }

  function resend(): void {
    for (const [id, waiting] of outbox) transmit(waiting.text, id)
  }

  async function post(text: string, id: string): Promise<void> {
    try {
      const headers = { 'Content-Type': 'application/json', ...options.headers?.() }
      const reply = await fetch(options.commands!, { method: 'POST', body: text, headers })
      if (reply.ok) return settle(id)
      const refusal = refusalFrom(await reply.json().catch(() => undefined), reply.status)
      if (reply.status < 500)
        settle(id, { code: refusal.code, sentence: refusal.sentence, field: refusal.field })
      else setTimeout(() => outbox.has(id) && post(text, id), 1000)
    } catch {
      setTimeout(() => outbox.has(id) && transmit(text, id), 1000)
    }
  }

  /** Serves the socket until it closes. False when it never opened. */
  function serveSocket(): Promise<boolean> {
    return new Promise((resolve) => {
      const address = `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}${options.socket}`
      let current: WebSocket
      try {
        current = new WebSocket(address)
      } catch {
        return resolve(false)
      }
      socket = current
      let opened = false
      let pingedAt = 0
      const giveUp = setTimeout(() => current.close(), OPEN_WITHIN)
      const pings = setInterval(ping, PING_EVERY)
      function ping(): void {
        if (pingedAt) return current.close() // the last one was never answered
        pingedAt = Date.now()
        if (current.readyState === IS_OPEN) current.send('{"ping":true}')
      }
      current.onopen = () => options.hello && current.send(options.hello())
      current.onmessage = (event) => {
        const body = JSON.parse(event.data as string)
        if (!opened) {
          opened = true
          way.value = 'socket'
          clearTimeout(giveUp)
        }
        if ('view' in body) {
          const isFirst = status.value !== 'online'
          take(body as M)
          if (isFirst) {
            resend()
            ping()
          }
        } else if ('ack' in body) settle(body.ack, body.error)
        else if ('gone' in body) end(body.gone)
        else if ('now' in body) {
          setClock(body.now, pingedAt)
          pingedAt = 0
        }
      }
      current.onclose = () => {
        clearTimeout(giveUp)
        clearInterval(pings)
        if (socket === current) socket = null
        if (!stopped) status.value = 'connecting'
        resolve(opened)
      }
    })
  }

  /** Serves over HTTP until a request fails. False when the first one failed. */
  async function servePolls(): Promise<boolean> {
    let served = false
    while (!stopped) {
      const sentAt = Date.now()
      try {
        const after = served && message.value ? `?after=${message.value.version}` : ''
        const reply = await fetch(options.poll + after, { headers: options.headers?.() })
        if (reply.status === 204) continue
        if (!reply.ok) {
          const refusal = refusalFrom(await reply.json().catch(() => undefined), reply.status)
          if (reply.status >= 500) return served
          end({ code: refusal.code, sentence: refusal.sentence, field: null })
          return served
        }
        const body = (await reply.json()) as M
        if (!served) setClock(body.now, sentAt)
        way.value = 'http'
        take(body)
        if (!served) resend()
        served = true
      } catch {
        return served
      }
    }
    return served
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
      else if (!stopped && (await servePolls())) failures = 0
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
    for (const waiting of outbox.values()) waiting.refused(OFFLINE)
    outbox.clear()
  }

  function send(command: { id: string }): Promise<void> {
    return new Promise((done, refused) => {
      const text = JSON.stringify(command)
      outbox.set(command.id, { text, done, refused })
      transmit(text, command.id)
    })
  }

  void run()
  onScopeDispose(close)
  return { message, status, way, gone, offset, send, close }
}
