import { teacherWords } from '@/words/teacher'
import en from './en'

export const t = teacherWords('kinds_word_cloud', en, import.meta.glob(['./*.ts', '!./en.ts', '!./index.ts']))
