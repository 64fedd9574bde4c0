import type { StudentAnswerOf, PublicItemOf } from '@/api/types'

/** The letters of the chosen options, as "A, C". */
export function lettersOf(item: PublicItemOf<'choice'>, answer: StudentAnswerOf<'choice'>): string {
  return item.options
    .filter((option) => answer.chosen.includes(option.id))
    .map((option) => option.letter)
    .join(', ')
}
