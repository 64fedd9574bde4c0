/** What a chart of shares over time shows: the whole first, then the topics that are weakest. */
import type { ClassResults } from '@/api/types'

export interface ShareLine {
  name: string
  /** One for each moment; null where nothing was asked. */
  shares: readonly (number | null)[]
}

/** More lines than these are a tangle. */
export const MOST_TOPICS = 4

export function linesOf(results: ClassResults['results'], whole: string): ShareLine[] {
  const topics = results.topics.filter(
    (topic) => topic.points.filter((point) => point.share !== null).length > 1,
  )
  return [
    { name: whole, shares: results.sessions.map((one) => one.share) },
    ...topics.slice(0, MOST_TOPICS).map((topic) => ({
      name: topic.topic,
      shares: topic.points.map((point) => point.share),
    })),
  ]
}
