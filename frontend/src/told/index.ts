/** What the server says to a teacher, in the language of the page: by its code, else in the words that came along. */
import { Refusal } from '@/api/refusal'
import type { Message } from '@/api/types'
import { filled, inPseudo, language, languagesOf, type Value } from '@/words'

type Said = Pick<Message, 'code' | 'params' | 'sentence'>

/** The catalogues of the core: what is printed and mailed is said out of the same. */
const FILES = import.meta.glob<{ default: Record<string, string> }>('../../../lantern/core/words/*.json')
const known = languagesOf<Record<string, string>>(FILES)
const PAGE_FAILED = new Refusal({
  code: 'page_failed',
  // eslint-disable-next-line words/no-bare-words -- English goes along with the code, as from the server
  sentence: 'Something went wrong here. Load the page again.',
})

export function told(message: Said | null): string {
  if (!message) return ''
  const { code, params, sentence } = message
  const found = known[language.value]?.[code]
  if (!found) return inPseudo(sentence)
  const given = Object.entries(params).map(([name, value]): [string, Value] => [
    name,
    typeof value === 'object' ? told(value) : value,
  ])
  return filled(found, Object.fromEntries(given))
}

/** What becomes part of a set, in its own language, which the page need not speak; in English where there are no words,
 * or where they cannot be fetched. */
export async function saidIn(tag: string, code: string, english: string): Promise<string> {
  const load = FILES[`../../../lantern/core/words/${tag.slice(0, 2)}.json`]
  const words = await load?.().catch(() => null)
  return words?.default[code] ?? english
}

/** Any failure as a sentence. */
export const sentenceOf = (error: unknown): string => told(error instanceof Refusal ? error : PAGE_FAILED)
