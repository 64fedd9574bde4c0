/**
 * The words of what only teachers see, said by vue-i18n.
 *
 * A catalogue is written as everywhere else (a form for each plural category), and is typed as there; the library finds
 * the form, falls back to English, and lets components stand inside a sentence (`I18nT`, with `t.path`).
 */
import { watch } from 'vue'
import { createI18n } from 'vue-i18n'
import { asGiven, whenSpoken, type Entry, type Files, type Says, type Value, type Words } from './catalogue'
import { language, LANGUAGES, type Language } from './language'
import { inPseudo } from './pseudo'

/** What teachers' pages speak. */
export const OF_TEACHERS = ['en', 'de'] as const satisfies readonly Language[]
export type TeacherLanguage = (typeof OF_TEACHERS)[number]
export const isTeacherLanguage = (tag: string): tag is TeacherLanguage =>
  (OF_TEACHERS as readonly string[]).includes(tag)

const rules = (tag: string) => new Intl.PluralRules(tag)
const categories = (tag: string) => rules(tag).resolvedOptions().pluralCategories

export const i18n = createI18n({
  legacy: false,
  locale: 'en',
  fallbackLocale: 'en',
  messages: {},
  missingWarn: false,
  fallbackWarn: false,
  pluralRules: Object.fromEntries(
    Object.keys(LANGUAGES).map((tag) => [tag, (n: number) => categories(tag).indexOf(rules(tag).select(n))]),
  ),
})
watch(language, (tag) => (i18n.global.locale.value = tag), { flush: 'sync', immediate: true })

/** What means something to the library is a plain sign in our sentences. */
const plain = (text: string): string => text.replace(/[@|]/g, (sign) => `{'${sign}'}`)

function asMessages(words: Record<string, Entry>, tag: string): Record<string, string> {
  const shown = tag === 'en' ? inPseudo : String
  const formsOf = (entry: Entry): string[] =>
    typeof entry === 'string' ? [entry] : categories(tag).map((category) => entry[category] ?? entry.other)
  return Object.fromEntries(
    Object.entries(words).map(([key, entry]) => [key, formsOf(entry).map(plain).map(shown).join(' | ')]),
  )
}

/** What says a feature's sentences to a teacher. `path` names one of them to the library's own component. */
export function teacherWords<const E extends Record<string, Entry>>(feature: string, en: E, others: Files) {
  const take = (tag: string, words: Record<string, Entry>): void =>
    i18n.global.mergeLocaleMessage(tag, { [feature]: asMessages(words, tag) })
  take('en', en)
  whenSpoken<Words<E>>(others, take)

  const path = (key: keyof E & string): string => `${feature}.${key}`
  function say(key: keyof E & string, given: Record<string, Value> = {}): string {
    const shown = Object.fromEntries(Object.entries(given).map(([name, value]) => [name, asGiven(value)]))
    return 'n' in given
      ? i18n.global.t(path(key), shown, { plural: Number(given.n) })
      : i18n.global.t(path(key), shown)
  }
  return Object.assign(say as Says<E>, { path })
}
