import { teacherWords } from '@/words/teacher'
import en from './en'

export const t = teacherWords('live_desk', en, import.meta.glob(['./*.ts', '!./en.ts', '!./index.ts']))
