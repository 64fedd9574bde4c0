/** What a paper says of each of its items. */
import type { MyPaper } from '@/api/types'

export interface Place {
  item: string
  /** Among the questions, from 1; null for a page. */
  number: number | null
  answered: boolean
  flagged: boolean
  here: boolean
}

export function placesOf(paper: MyPaper): Place[] {
  let number = 0
  return paper.items.map((item) => ({
    item,
    number: paper.pages.includes(item) ? null : ++number,
    answered: paper.answered.includes(item),
    flagged: paper.flagged.includes(item),
    here: paper.at === item,
  }))
}
