/** The cells of a crossword, from where its words lie. */
import { t } from './words'

/** Of a cell, in the drawing. */
export const SIDE = 30

export interface Lying {
  question: string
  number: number
  row: number
  column: number
  down: boolean
  length: number
  letters?: readonly string[]
}

export interface CrossCell {
  key: string
  row: number
  /** As it is drawn: from the left. */
  x: number
  letter: string
  number: number | null
  /** The questions whose words lie here. */
  of: string[]
}

export const at = (word: Lying, place: number): { row: number; column: number } => ({
  row: word.row + (word.down ? place : 0),
  column: word.column + (word.down ? 0 : place),
})

export function cellsOf(words: readonly Lying[], columns: number, toTheLeft: boolean): CrossCell[] {
  const found = new Map<string, CrossCell>()
  for (const word of words)
    for (let place = 0; place < word.length; place += 1) {
      const { row, column } = at(word, place)
      const key = `${row} ${column}`
      const x = toTheLeft ? columns - 1 - column : column
      const cell = found.get(key) ?? { key, row, x, letter: '', number: null, of: [] }
      cell.letter ||= word.letters?.[place] ?? ''
      if (!place) cell.number = word.number
      cell.of.push(word.question)
      found.set(key, cell)
    }
  return [...found.values()]
}

/** "7 across, 5 letters". */
export const clueSaid = (word: Lying): string =>
  t('clue', {
    place: t(word.down ? 'down' : 'across', { number: word.number }),
    length: t('letters_n', { n: word.length }),
  })

/** The letters that are known of a word, one for each of its cells; empty where one is not. */
export function patternOf(
  word: Lying,
  cells: readonly CrossCell[],
  columns: number,
  toTheLeft: boolean,
): string[] {
  const known = new Map(cells.map((cell) => [`${cell.row} ${cell.x}`, cell.letter]))
  return Array.from({ length: word.length }, (_, place) => {
    const { row, column } = at(word, place)
    return known.get(`${row} ${toTheLeft ? columns - 1 - column : column}`) ?? ''
  })
}
