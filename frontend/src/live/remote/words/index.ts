import { teacherWords } from '@/words/teacher'
import en from './en'

export const t = teacherWords('live_remote', en, import.meta.glob(['./*.ts', '!./en.ts', '!./index.ts']))
