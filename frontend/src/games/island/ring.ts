/** The island from above, and where the bays lie round it. */
export const WIDTH = 720
export const HEIGHT = 470
const MIDDLE = { x: WIDTH / 2, y: HEIGHT / 2 }

interface Point {
  x: number
  y: number
}

/** A place on the shore, `out` times as far from the middle. The harbour is below; it goes round with the sun. */
function shore(share: number, out: number): Point {
  const angle = Math.PI / 2 + 2 * Math.PI * share
  const far = 1 + 0.07 * Math.sin(3 * angle + 0.6) + 0.05 * Math.cos(5 * angle)
  return {
    x: MIDDLE.x + Math.cos(angle) * far * out * 275,
    y: MIDDLE.y + Math.sin(angle) * far * out * 172,
  }
}

export const bayAt = (bay: number, bays: number, out = 1): Point => shore(bay / bays, out)

/** Before a bay, so far along the shore. */
export function berthAt(bay: number, bays: number, along: number): Point {
  const { x, y } = shore(bay / bays, 1.14)
  const [before, after] = [shore(bay / bays - 0.01, 1.14), shore(bay / bays + 0.01, 1.14)]
  const far = Math.hypot(after.x - before.x, after.y - before.y)
  return { x: x + ((after.x - before.x) / far) * along, y: y + ((after.y - before.y) / far) * along }
}

/** Its outline, `out` times as large as the ring of bays. */
export function outline(out: number): string {
  const points = Array.from({ length: 72 }, (_, at) => shore(at / 72, out))
  return `M${points.map(({ x, y }) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}Z`
}

/** What stands for what happens in a bay, in a box of 20 by 20 round its middle. */
export const GLYPHS = {
  current: 'M-6 -5L0 0L-6 5M0 -5L6 0L0 5',
  lighthouse: 'M-3 7L-2 -3H2L3 7ZM-3 -3L0 -7L3 -3Z',
  shoal: 'M-7 -2Q-3.5 -6 0 -2T7 -2M-7 4Q-3.5 0 0 4T7 4',
  fog: 'M-6 -4H6M-4 0H7M-7 4H4',
} as const
