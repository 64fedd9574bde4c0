import type { ScreenView } from '@/api/types'

type Row = ScreenView['standings'][number]
const PLACES = 3
const MOST_NAMED = 6

/** Who is called by name in the end: the first three, or as many as share these places. Where they are too many, it is
 * said of a place how many have it, rather than to name some of them by chance. */
export function firstOnes(view: Pick<ScreenView, 'standings' | 'more_alike'>): {
  named: Row[]
  shared: { place: number; people: number } | null
} {
  const first = view.standings.filter((row) => row.place <= PLACES && row.points > 0)
  const named: Row[] = []
  for (const place of new Set(first.map((row) => row.place))) {
    const alike = first.filter((row) => row.place === place)
    const people = alike.length + (view.standings.at(-1)!.place === place ? (view.more_alike ?? 0) : 0)
    if (named.length + people > MOST_NAMED) return { named, shared: { place, people } }
    named.push(...alike)
  }
  return { named, shared: null }
}
