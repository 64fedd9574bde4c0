/** Names in the order of a language's alphabet, figures in them as numbers (the core's `classes/ordering` does the same). */
const collators = new Map<string, Intl.Collator>()

export function orderOf(language: string): (one: string, other: string) => number {
  let found = collators.get(language)
  if (!found) collators.set(language, (found = new Intl.Collator(language, { numeric: true })))
  return found.compare
}
