import { teacherWords } from '@/words/teacher'
import en from './en'

export const t = teacherWords('games_soundings', en, import.meta.glob(['./*.ts', '!./en.ts', '!./index.ts']))
