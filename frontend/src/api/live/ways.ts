/** The two ways of a line: a socket, and requests that wait. Each serves until it fails. */
import { toldBy } from '../refusal'
import type { ErrorReply } from '../types'

/** What a way tells the line. `served` says whether this way has carried a view before. */
export interface Heard<M> {
  view: (message: M, served: boolean) => void
  ack: (id: string, error?: ErrorReply | null) => void
  gone: (why: ErrorReply) => void
  clock: (now: number, sentAt: number) => void
}

/** `WebSocket.OPEN`. */
const IS_OPEN = 1
const OPEN_WITHIN = 4000
const PING_EVERY = 10_000

export interface SocketWay {
  /** False where the socket is not open just now. */
  send: (text: string) => boolean
  close: () => void
  /** Resolves when it has closed: false when it never opened. */
  served: Promise<boolean>
}

export function openSocket<M>(path: string, hello: string | undefined, heard: Heard<M>): SocketWay {
  const address = `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}${path}`
  let socket: WebSocket
  try {
    socket = new WebSocket(address)
  } catch {
    return { send: () => false, close: () => {}, served: Promise.resolve(false) }
  }
  let opened = false
  let seen = false
  let pingedAt = 0

  function ping(): void {
    if (pingedAt) return socket.close() // the last one was never answered
    pingedAt = Date.now()
    if (socket.readyState === IS_OPEN) socket.send('{"ping":true}')
  }

  const giveUp = setTimeout(() => socket.close(), OPEN_WITHIN)
  const pings = setInterval(ping, PING_EVERY)
  socket.onopen = () => hello && socket.send(hello)
  socket.onmessage = (event) => {
    const body = JSON.parse(event.data as string)
    opened = true
    clearTimeout(giveUp)
    if ('view' in body) {
      const isFirst = !seen
      seen = true
      heard.view(body as M, !isFirst)
      if (isFirst) ping()
    } else if ('ack' in body) heard.ack(body.ack, body.error)
    else if ('gone' in body) heard.gone(body.gone)
    else if ('now' in body) {
      heard.clock(body.now, pingedAt)
      pingedAt = 0
    }
  }
  const served = new Promise<boolean>((resolve) => {
    socket.onclose = () => {
      clearTimeout(giveUp)
      clearInterval(pings)
      resolve(opened)
    }
  })
  const send = (text: string): boolean => {
    if (socket.readyState !== IS_OPEN || !seen) return false
    socket.send(text)
    return true
  }
  return { send, close: () => socket.close(), served }
}

type Headers = () => Record<string, string>

/** Asks for view after view until a request fails. False when the first one failed. */
export async function servePolls<M extends { now: number; version: string }>(
  path: string,
  headers: Headers,
  heard: Heard<M>,
  goesOn: () => boolean,
): Promise<boolean> {
  let version = ''
  while (goesOn()) {
    const sentAt = Date.now()
    try {
      const reply = await fetch(path + (version && `?after=${version}`), { headers: headers() })
      if (reply.status === 204) continue
      if (!reply.ok) {
        if (reply.status < 500) heard.gone(toldBy(await reply.json().catch(() => undefined)))
        return !!version
      }
      const body = (await reply.json()) as M
      if (!version) heard.clock(body.now, sentAt)
      heard.view(body, !!version)
      version = body.version
    } catch {
      return !!version
    }
  }
  return !!version
}

/** Sends one command. "later": it may be tried again. */
export async function postCommand(
  path: string,
  headers: Headers,
  text: string,
): Promise<ErrorReply | null | 'later'> {
  try {
    const all = { 'Content-Type': 'application/json', ...headers() }
    const reply = await fetch(path, { method: 'POST', body: text, headers: all })
    if (reply.ok) return null
    return reply.status < 500 ? toldBy(await reply.json().catch(() => undefined)) : 'later'
  } catch {
    return 'later'
  }
}
