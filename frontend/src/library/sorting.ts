import type { SetRow } from '@/api/types'

export type Sort = 'name' | 'changed' | 'run'

const latest = (a: string | null, b: string | null): number => (b ?? '').localeCompare(a ?? '')

/** By title as a person sorts it (2 before 10); by last change or last run, the latest first. */
export function sorted(rows: readonly SetRow[], by: Sort): SetRow[] {
  const order: Record<Sort, (a: SetRow, b: SetRow) => number> = {
    name: (a, b) => a.title.localeCompare(b.title, undefined, { numeric: true, sensitivity: 'base' }),
    changed: (a, b) => latest(a.updated_at, b.updated_at),
    run: (a, b) => latest(a.last_run, b.last_run),
  }
  return [...rows].sort(order[by])
}
