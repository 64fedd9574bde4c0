/** What the server says to a student, in the language of the page: by its code, else in the words that came along. */
import { Refusal } from '@/api/refusal'
import type { Message } from '@/api/types'
import { filled, inPseudo, language, languagesOf, type Value } from '@/words'
import type { Told } from './codes'

const known = languagesOf<Told>(import.meta.glob('./words/*.ts'))
const PAGE_FAILED = {
  code: 'page_failed',
  params: {},
  // eslint-disable-next-line words/no-bare-words -- English goes along with the code, as from the server
  sentence: 'Something went wrong here. Load the page again.',
}

export function told({ code, params, sentence }: Pick<Message, 'code' | 'params' | 'sentence'>): string {
  const found = (known[language.value] as Record<string, string> | undefined)?.[code]
  if (!found) return inPseudo(sentence)
  const given = Object.entries(params).map(([name, value]): [string, Value] => [
    name,
    typeof value === 'object' ? told(value) : value,
  ])
  return filled(found, Object.fromEntries(given))
}

/** Any failure as a sentence. */
export const toldOf = (error: unknown): string => told(error instanceof Refusal ? error : PAGE_FAILED)
