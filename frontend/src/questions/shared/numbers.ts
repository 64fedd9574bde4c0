/** A number as it is: without the tail of digits that floating point leaves, and no figure less. */
export const plainNumber = (value: number | string): string =>
  typeof value === 'string' ? value : String(Number(value.toPrecision(15)))

/** A measure that was worked out: as many figures as say something, and never fewer before the point. */
export const roundNumber = (value: number): string =>
  String(Number(Math.abs(value) >= 1 ? value.toFixed(4) : value.toPrecision(4)))

export interface Dot {
  value: number
  count: number
  /** Place along the line, 0..1. */
  at: number
}

interface Span {
  low: number
  high: number
}

/** Where values stand on a line that holds all of them and the accepted range (or the whole scale), with a little room. */
export function placeDots(
  values: readonly { value: number; count: number }[],
  span: Span | null,
  scale?: Span,
): { dots: Dot[]; low: number; high: number; place: (value: number) => number } {
  const ends = scale ?? span
  const all = [...values.map((row) => row.value), ...(ends ? [ends.low, ends.high] : [])]
  const low = Math.min(...all)
  const high = Math.max(...all)
  const room = (high - low || Math.abs(high) || 1) * 0.08
  const place = (value: number): number => (value - low + room) / (high - low + 2 * room)
  return { dots: values.map((row) => ({ ...row, at: place(row.value) })), low, high, place }
}
