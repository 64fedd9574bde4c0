/**
 * Commands on their way, none of which is lost.
 *
 * 1. One is on its way at a time, in the order they were given: the next goes once the one before is settled. So a
 *    number that rises from command to command always reaches the server rising.
 * 2. A command is kept until the server says it is stored, and sent again after every reconnection.
 */
import { OFFLINE, Refusal } from '../refusal'
import type { ErrorReply } from '../types'

interface Waiting {
  id: string
  text: string
  done: () => void
  refused: (why: Refusal) => void
}

const ONCE_MORE = 1000

export function createOutbox(transmit: (text: string, id: string) => void) {
  const waiting: Waiting[] = []

  /** Sends what is first, if a line is open. */
  function next(): void {
    const first = waiting[0]
    if (first) transmit(first.text, first.id)
  }

  function send(command: { id: string }): Promise<void> {
    return new Promise((done, refused) => {
      waiting.push({ id: command.id, text: JSON.stringify(command), done, refused })
      if (waiting.length === 1) next()
    })
  }

  /** The server's word on the first one; on any other it comes too late and means nothing. */
  function settle(id: string, error?: ErrorReply | null): void {
    const first = waiting[0]
    if (first?.id !== id) return
    if (error?.code === 'not_stored') return later(id)
    waiting.shift()
    if (error) first.refused(new Refusal(error))
    else first.done()
    next()
  }

  /** Once more in a while, if it is still wanted then. */
  function later(id: string): void {
    setTimeout(() => waiting[0]?.id === id && next(), ONCE_MORE)
  }

  function giveUp(): void {
    for (const one of waiting.splice(0)) one.refused(OFFLINE)
  }

  return { send, settle, later, next, giveUp }
}
