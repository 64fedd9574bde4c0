/**
 * The words of a feature: a catalogue for each language, beside the feature's code.
 *
 * English is there from the start and is what is said where another language is still on its way; the others are
 * loaded when they are spoken. What is missing, too much, or names a figure that is not given, does not compile.
 */
import { shallowReactive, watch } from 'vue'
import { directionOf, figure, language, type Language } from './language'
import { inPseudo } from './pseudo'

/** One form for each plural category that the language has (CLDR); which one it is, `n` says. */
type Forms = Partial<Record<Intl.LDMLPluralRule, string>> & { other: string }
export type Entry = string | Forms
/** The same sentences in another language. */
export type Words<E> = Record<keyof E, Entry>

type Named<S> = S extends `${string}{${infer Name}}${infer Rest}` ? Name | Named<Rest> : never
/** The names in braces, over all forms of a sentence. */
type Given<E> = E extends Forms ? 'n' | Named<E[keyof E]> : Named<E>
export type Value = string | number

/** What `import.meta.glob` finds in a folder of words: a file for each language, by its path. */
export type Files = Record<string, () => Promise<unknown>>

/** How each feature takes up a language. */
const learning: ((wanted: Language) => Promise<void>)[] = []

/** Takes up each language of a feature when it is first spoken. */
export function whenSpoken<T>(files: Files, take: (tag: Language, words: T) => void): void {
  const taken = new Set<Language>()

  async function learn(wanted: Language): Promise<void> {
    const load = Object.entries(files).find(([path]) => path.includes(`/${wanted}.`))?.[1]
    if (!load || taken.has(wanted)) return
    take(wanted, ((await load()) as { default: T }).default)
    taken.add(wanted)
  }
  learning.push(learn)
  // What is fetched late, as a kind's own words, comes when the page speaks already.
  void learn(language.value).catch(() => {})
}

/** The languages of a feature, as they come. */
export function languagesOf<T>(files: Files): Partial<Record<Language, T>> {
  const known = shallowReactive<Partial<Record<Language, T>>>({})
  whenSpoken<T>(files, (tag, words) => (known[tag] = words))
  return known
}

export function filled(entry: Entry, given: Record<string, Value>): string {
  const text =
    typeof entry === 'string'
      ? entry
      : (entry[new Intl.PluralRules(language.value).select(Number(given.n))] ?? entry.other)
  const said = language.value === 'en' ? inPseudo(text) : text
  return said.replace(/\{(\w+)\}/g, (_, name: string) => asGiven(given[name]))
}

/** A parameter as it stands in a sentence. In one from right to left it runs its own way, and turns nothing around it. */
export function asGiven(value: Value = ''): string {
  if (typeof value === 'number') return figure(value)
  return value && directionOf(language.value) === 'rtl' ? `\u2068${value}\u2069` : value
}

/** Says a sentence by its key, with what stands in braces. */
export type Says<E> = <K extends keyof E & string>(
  key: K,
  ...given: [Given<E[K]>] extends [never] ? [] : [given: Record<Given<E[K]>, Value>]
) => string

/** What says a feature's sentences. */
export function wordsOf<const E extends Record<string, Entry>>(en: E, others: Files): Says<E> {
  const known = languagesOf<Words<E>>(others)
  return (key, ...[given]) => filled((known[language.value] ?? en)[key], given ?? {})
}

let latest: Language = 'en'

/** Speaks a language as soon as its words are there. Rejects where they cannot be fetched; the page then goes on in the
 * language it has. */
export async function speak(wanted: Language): Promise<void> {
  latest = wanted
  await Promise.all(learning.map((learn) => learn(wanted)))
  if (latest === wanted) language.value = wanted
}

const TRY_AGAIN = 3000

/** From now on the page speaks what is wanted, also when that changes. Resolves when it does, or when the words could not
 * be fetched at once; then they are tried again. */
export function follow(wanted: () => Language): Promise<void> {
  async function say(tag: Language): Promise<void> {
    try {
      await speak(tag)
    } catch {
      setTimeout(() => wanted() === tag && void say(tag), TRY_AGAIN)
    }
  }
  watch(language, (now) => Object.assign(document.documentElement, { lang: now, dir: directionOf(now) }), {
    immediate: true,
  })
  watch(wanted, (tag) => void say(tag))
  return say(wanted())
}
