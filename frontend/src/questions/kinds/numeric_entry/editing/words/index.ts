import { teacherWords } from '@/words/teacher'
import en from './en'

export const t = teacherWords(
  'kinds_numeric_entry',
  en,
  import.meta.glob(['./*.ts', '!./en.ts', '!./index.ts']),
)
