/** What the server refused, in a sentence for people, with the place it belongs to. */
export class Refusal extends Error {
  constructor(
    readonly code: string,
    readonly sentence: string,
    readonly field: string | null = null,
    readonly status = 0,
  ) {
    super(sentence)
  }
}

/** The network did not carry the request. */
export const OFFLINE = new Refusal('offline', 'There is no connection to the server just now.')

/** Any failure as a sentence. */
export function sentenceOf(error: unknown): string {
  return error instanceof Refusal ? error.sentence : 'Something went wrong here. Load the page again.'
}

/** The refusal that an HTTP reply carries. */
export function refusalFrom(body: unknown, status: number): Refusal {
  const reply = body as { code?: string; sentence?: string; field?: string | null } | undefined
  const sentence = reply?.sentence ?? 'The server could not do this just now. Try again in a moment.'
  return new Refusal(reply?.code ?? 'server', sentence, reply?.field ?? null, status)
}
