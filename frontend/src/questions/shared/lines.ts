import { textOf } from '@/composables/text'

export { textOf }
/** Letters for lines that are told apart by a letter. */
export const LETTERS = 'ABCDEFGHIJKLMNOPQRST'

/** A share of 0..1 as whole percent. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`

const RIGHT_TO_LEFT = /[\p{Script=Arabic}\p{Script=Hebrew}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]/u

/** Which way a text runs: as its first letter does. Undefined for one without letters. */
export function runOf(html: string): 'ltr' | 'rtl' | undefined {
  const letter = /\p{L}/u.exec(textOf(html))?.[0]
  if (!letter) return undefined
  return RIGHT_TO_LEFT.test(letter) ? 'rtl' : 'ltr'
}
