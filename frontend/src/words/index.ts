export { filled, follow, languagesOf, speak, wordsOf, type Value, type Words } from './catalogue'
export {
  deviceLanguage,
  directionOf,
  figure,
  formats,
  isLanguage,
  language,
  LANGUAGES,
  listed,
  localeOf,
  type Language,
} from './language'
export { inPseudo } from './pseudo'
