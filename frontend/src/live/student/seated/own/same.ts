/** Whether two answers say the same, in whatever order their parts stand. */
import type { StudentAnswer } from '@/api/types'

const ordered = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(ordered)
  if (value && typeof value === 'object')
    return Object.fromEntries(
      Object.entries(value)
        .map(([name, inner]) => [name, ordered(inner)])
        .sort(),
    )
  return value
}

export const same = (one: StudentAnswer | null, other: StudentAnswer | null): boolean =>
  JSON.stringify(ordered(one)) === JSON.stringify(ordered(other))
