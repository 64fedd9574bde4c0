/**
 * The words of a feature: a catalogue for each language, beside the feature's code.
 *
 * English is there from the start and is what is said where another language is still on its way; the others are
 * loaded when they are spoken. What is missing, too much, or names a figure that is not given, does not compile.
 */
import { shallowReactive } from 'vue'
import { directionOf, figure, language, type Language } from './language'

/** One form for each plural category that the language has (CLDR); which one it is, `n` says. */
type Forms = Partial<Record<Intl.LDMLPluralRule, string>> & { other: string }
export type Entry = string | Forms
/** The same sentences in another language. */
export type Words<E> = Record<keyof E, Entry>

type Named<S> = S extends `${string}{${infer Name}}${infer Rest}` ? Name | Named<Rest> : never
/** The names in braces, over all forms of a sentence. */
type Given<E> = Named<E extends Forms ? E[keyof E] : E>
export type Value = string | number

/** What `import.meta.glob` finds in a folder of words: a file for each language, by its path. */
export type Files = Record<string, () => Promise<unknown>>

/** How each feature takes up a language. */
const learning: ((wanted: Language) => Promise<void>)[] = []

/** The languages of a feature, as they come. */
export function languagesOf<T>(files: Files): Partial<Record<Language, T>> {
  const known = shallowReactive<Partial<Record<Language, T>>>({})

  async function learn(wanted: Language): Promise<void> {
    const load = Object.entries(files).find(([path]) => path.endsWith(`/${wanted}.ts`))?.[1]
    if (load && !known[wanted]) known[wanted] = ((await load()) as { default: T }).default
  }
  learning.push(learn)
  // What is fetched late, as a kind's own words, comes when the page speaks already.
  void learn(language.value).catch(() => {})
  return known
}

export function filled(entry: Entry, given: Record<string, Value>): string {
  const text =
    typeof entry === 'string'
      ? entry
      : (entry[new Intl.PluralRules(language.value).select(Number(given.n))] ?? entry.other)
  return text.replace(/\{(\w+)\}/g, (_, name: string) => shownIn(given[name]))
}

/** What stands in a sentence from right to left runs its own way, and turns nothing around it. */
function shownIn(value: Value = ''): string {
  if (typeof value === 'number') return figure(value)
  return value && directionOf(language.value) === 'rtl' ? `\u2068${value}\u2069` : value
}

/** What says a feature's sentences: by key, with what stands in braces. */
export function wordsOf<const E extends Record<string, Entry>>(en: E, others: Files) {
  const known = languagesOf<Words<E>>(others)

  return <K extends keyof E & string>(
    key: K,
    ...[given]: [Given<E[K]>] extends [never] ? [] : [given: Record<Given<E[K]>, Value>]
  ): string => filled((known[language.value] ?? en)[key], given ?? {})
}

let latest: Language = 'en'

/** Speaks a language as soon as its words are there. Rejects where they cannot be fetched; the page then goes on in the
 * language it has. */
export async function speak(wanted: Language): Promise<void> {
  latest = wanted
  await Promise.all(learning.map((learn) => learn(wanted)))
  if (latest === wanted) language.value = wanted
}
