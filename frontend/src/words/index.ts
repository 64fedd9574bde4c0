export { filled, languagesOf, speak, wordsOf, type Value, type Words } from './catalogue'
export { directionOf, figure, isLanguage, language, LANGUAGES, listed, type Language } from './language'
