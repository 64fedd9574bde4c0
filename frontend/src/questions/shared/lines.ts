/** Letters for lines that are told apart by a letter. */
export const LETTERS = 'ABCDEFGHIJKLMNOPQRST'

/** The text inside a short piece of HTML, for names that are read aloud or stand in a list. */
export function textOf(html: string): string {
  const parsed = new DOMParser().parseFromString(html, 'text/html')
  return parsed.body.textContent?.trim() ?? ''
}

/** A share of 0..1 as whole percent. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`

const RIGHT_TO_LEFT = /[\p{Script=Arabic}\p{Script=Hebrew}\p{Script=Syriac}\p{Script=Thaana}\p{Script=Nko}]/u

/** Which way a text runs: as its first letter does. Undefined for one without letters. */
export function runOf(html: string): 'ltr' | 'rtl' | undefined {
  const letter = /\p{L}/u.exec(textOf(html))?.[0]
  if (!letter) return undefined
  return RIGHT_TO_LEFT.test(letter) ? 'rtl' : 'ltr'
}
