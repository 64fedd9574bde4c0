/** What the server refused: a code with its parameters, the sentence for people, the place it belongs to. */
import type { ErrorReply, Message } from './types'

type Told = Partial<ErrorReply> & Pick<ErrorReply, 'code' | 'sentence'>

export class Refusal extends Error {
  readonly code: string
  /** What may be done about it: many codes have one. */
  readonly family: string
  readonly params: Message['params']
  readonly sentence: string
  readonly field: string | null

  constructor(
    told: Told,
    readonly status = 0,
  ) {
    super(told.sentence)
    this.code = told.code
    this.family = told.family ?? told.code
    this.params = told.params ?? {}
    this.sentence = told.sentence
    this.field = told.field ?? null
  }
}

/** The network did not carry the request. */
export const OFFLINE = new Refusal({
  code: 'offline',
  sentence: 'There is no connection to the server just now.',
})

/** What an HTTP reply that refuses carries. */
export function toldBy(body: unknown): ErrorReply {
  const {
    code = 'server',
    family = code,
    params = {},
    sentence,
    field = null,
  } = (body ?? {}) as Partial<ErrorReply>
  const unsaid = 'The server could not do this just now. Try again in a moment.'
  return { code, family, params, sentence: sentence ?? unsaid, field }
}

export const refusalFrom = (body: unknown, status: number): Refusal => new Refusal(toldBy(body), status)
