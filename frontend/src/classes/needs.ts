import defaults from '@/api/defaults.json'
import type { Needs } from '@/api/types'

export const NO_NEEDS = defaults.needs as Needs

/** Whether anything is kept there. */
export const hasNeeds = (needs: Needs): boolean =>
  Object.entries(NO_NEEDS).some(([name, usual]) => needs[name as keyof Needs] !== usual)
