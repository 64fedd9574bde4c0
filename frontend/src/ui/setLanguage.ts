/** In which language the words and numbers below are written: that of the set, or a question's own. */
import { inject, provide, type InjectionKey } from 'vue'

export const LANGUAGE: InjectionKey<() => string> = Symbol('the language of the set')

export const provideLanguage = (language: () => string): void => provide(LANGUAGE, language)

/** Gives "" where nothing is known of it. */
export const useLanguage = (): (() => string) => inject(LANGUAGE, () => '')
