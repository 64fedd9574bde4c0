import { wordsOf } from '@/words'
import en from './en'

export const t = wordsOf(en, import.meta.glob(['./*.ts', '!./en.ts', '!./index.ts']))
