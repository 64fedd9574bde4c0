/** What the server says of set work alone, by its code; all else is what it says to every student (`../told`). */
import { Refusal } from '@/api/refusal'
import { told as common, toldOf as commonOf } from '../told'
import { t } from './words'

const CODES = [
  'work_not_yet',
  'work_closed',
  'work_withdrawn',
  'attempt_running',
  'no_attempt_left',
  'work_name_taken',
  'not_for_you',
  'unknown_pass',
  'nothing_due',
  'nothing_missed',
] as const
type Code = (typeof CODES)[number]
const isOurs = (code: string): code is Code => (CODES as readonly string[]).includes(code)

export const told = (why: Refusal): string => (isOurs(why.code) ? t(why.code) : common(why))
export const toldOf = (error: unknown): string => (error instanceof Refusal ? told(error) : commonOf(error))
