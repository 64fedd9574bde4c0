/** Where everybody's light stands in the end: along the quay, and where they are many in rows, one behind the other. */
export interface Stand {
  x: number
  /** Where its foot stands. */
  y: number
  height: number
  /** The pile that it stands on, down to the quay. */
  pile: number
}

export const WIDTH = 1000
export const HEIGHT = 480
const QUAY = 466
const IN_A_ROW = 50
const WIDE = 40 / 64
const HIGHEST = 130

/** `points` are those of everybody, most first. Each stands the higher, the more they have. */
export function stands(points: readonly number[]): Stand[] {
  const rows = Math.max(1, Math.ceil(points.length / IN_A_ROW))
  const inRow = Math.ceil(points.length / rows)
  const gap = WIDTH / (inRow + 1)
  const height = Math.min(HIGHEST, (gap * 0.92) / WIDE, (QUAY - 10) / (rows * 1.25))
  const between = rows > 1 ? (QUAY - height * 1.25 - 6) / (rows - 1) : 0
  const room = rows > 1 ? height * 0.22 : QUAY - height - 12
  const most = Math.max(1, ...points)
  return points.map((own, index) => {
    const row = Math.floor(index / inRow)
    const base = QUAY - (rows - 1 - row) * between
    const pile = (own / most) * room
    return { x: gap * ((index % inRow) + 1), y: base - pile, height, pile }
  })
}
