import { teacherWords } from '@/words/teacher'
import en from './en'

export const t = teacherWords('kinds_slider', en, import.meta.glob(['./*.ts', '!./en.ts', '!./index.ts']))
