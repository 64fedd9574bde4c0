/** Languages a set can be in, by their own names. */
/* eslint-disable words/no-bare-words -- each by the name that it has itself */
export const LANGUAGES = [
  ['en', 'English'],
  ['da', 'Dansk'],
  ['de', 'Deutsch'],
  ['es', 'Español'],
  ['fr', 'Français'],
  ['it', 'Italiano'],
  ['nl', 'Nederlands'],
  ['nb', 'Norsk bokmål'],
  ['pl', 'Polski'],
  ['pt', 'Português'],
  ['fi', 'Suomi'],
  ['sv', 'Svenska'],
  ['tr', 'Türkçe'],
  ['el', 'Ελληνικά'],
  ['uk', 'Українська'],
  ['he', 'עברית'],
  ['ar', 'العربية'],
  ['fa', 'فارسی'],
  ['hi', 'हिन्दी'],
  ['zh', '中文'],
  ['ja', '日本語'],
] as const

export const languageName = (tag: string): string => LANGUAGES.find(([one]) => one === tag)?.[1] ?? tag
