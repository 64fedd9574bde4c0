import { teacherWords } from '@/words/teacher'
import en from './en'

export const t = teacherWords('kinds_gap_fill', en, import.meta.glob(['./*.ts', '!./en.ts', '!./index.ts']))
