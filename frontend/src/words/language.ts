/** The languages that there are words in, and the one that this page speaks. */
import { shallowRef } from 'vue'
import type { MadeName } from '@/api/types'
import { PSEUDO } from './pseudo'

export type Language = MadeName['language']

/** Each by the name it has itself. */
export const LANGUAGES: Record<Language, string> = {
  en: 'English',
  de: 'Deutsch',
  fr: 'Français',
  es: 'Español',
  ar: 'العربية',
  uk: 'Українська',
}
const RIGHT_TO_LEFT: readonly Language[] = ['ar']

export const isLanguage = (tag: string): tag is Language => tag in LANGUAGES
export const directionOf = (language: Language): 'ltr' | 'rtl' =>
  PSEUDO || (RIGHT_TO_LEFT.includes(language) ? 'rtl' : 'ltr')

/** The first language of this device that is one of `offered`; else the first of these. */
export function deviceLanguage<L extends Language>(offered: readonly L[] = Object.keys(LANGUAGES) as L[]): L {
  const own = navigator.languages.map((tag) => tag.slice(0, 2).toLowerCase())
  return own.flatMap((tag) => offered.find((one) => one === tag) ?? [])[0] ?? offered[0]!
}

/** Read wherever something is said, so that a page changes with it. */
export const language = shallowRef<Language>('en')

/** Figures are read and typed the same in every language here. */
const NUMBERS = { numberingSystem: 'latn', useGrouping: false, maximumFractionDigits: 15 }
/** What numbers and dates are written by. English here has the day first, and hours to 24. */
export const localeOf = (tag: Language = language.value): string => (tag === 'en' ? 'en-GB' : tag)

/** A format in the page's language, made once for each. */
export function formats<F>(make: () => F): () => F {
  const made = new Map<Language, F>()
  return () => {
    const found = made.get(language.value) ?? make()
    made.set(language.value, found)
    return found
  }
}

const figures = formats(() => new Intl.NumberFormat(localeOf(), NUMBERS))
/** A number as this page's language writes it. */
export const figure = (value: number): string => figures().format(value)

const lists = formats(() => new Intl.ListFormat(localeOf(), { type: 'conjunction' }))
/** "A, B and C". */
export const listed = (parts: readonly string[]): string => lists().format(parts)
