/** Letters for lines that are told apart by a letter. */
export const LETTERS = 'ABCDEFGHIJKLMNOPQRST'

/** The text inside a short piece of HTML, for names that are read aloud or stand in a list. */
export function textOf(html: string): string {
  const parsed = new DOMParser().parseFromString(html, 'text/html')
  return parsed.body.textContent?.trim() ?? ''
}

/** A share of 0..1 as whole percent. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`
