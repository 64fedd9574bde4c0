/** The languages that there are words in, and the one that this page speaks. */
import { shallowRef } from 'vue'
import type { MadeName } from '@/api/types'

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
  RIGHT_TO_LEFT.includes(language) ? 'rtl' : 'ltr'

/** Read wherever something is said, so that a page changes with it. */
export const language = shallowRef<Language>('en')

/** Figures are read and typed the same in every language here. */
const NUMBERS = { numberingSystem: 'latn', useGrouping: false, maximumFractionDigits: 15 }
const formats = new Map<Language, Intl.NumberFormat>()

/** A number as this page's language writes it. */
export function figure(value: number): string {
  const found = formats.get(language.value) ?? new Intl.NumberFormat(language.value, NUMBERS)
  formats.set(language.value, found)
  return found.format(value)
}

/** "A, B and C". */
export const listed = (parts: readonly string[]): string =>
  new Intl.ListFormat(language.value, { type: 'conjunction' }).format(parts)
