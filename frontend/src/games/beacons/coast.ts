/** The shape of the coast, and of the lines along it: drawn for a width of 1000. */
export const WIDTH = 1000
const FROM = 190
const TO = 935

/** How far the coast comes out at `x`, 0..1: three headlands with bays between them. */
const headland = (x: number): number =>
  0.5 + 0.28 * Math.sin(x / 92 + 0.6) + 0.16 * Math.sin(x / 41) + 0.06 * Math.sin(x / 17)

const DEEPEST = 74
const BEND = 26

const shoreAt = (x: number): number => 8 + headland(x) * DEEPEST

const xs = (from: number, to: number, step: number): number[] =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index) => from + index * step)

const path = (points: { x: number; y: number }[]): string =>
  points.map(({ x, y }, index) => `${index ? 'L' : 'M'}${x.toFixed(0)} ${y.toFixed(1)}`).join('')

/** The land, down to the shore. */
export const SHORE = `${path(xs(-20, WIDTH + 20, 10).map((x) => ({ x, y: shoreAt(x) })))}V-20H-20Z`

/** Where the line of a team is at `x`: the further out, the smoother. */
function depthAt(x: number, index: number, teams: number, height: number): number {
  const room = height - DEEPEST - 40
  const middle = DEEPEST + 30 + ((index + 0.5) * room) / teams
  const bend = BEND * (1 - (0.6 * index) / Math.max(1, teams))
  return middle + (headland(x) - 0.5) * 2 * bend
}

const along = (from: number, to: number, index: number, teams: number, height: number): string =>
  path(xs(from, to, 5).map((x) => ({ x, y: depthAt(x, index, teams, height) })))

/** The water from the shore down to the line of a team. */
export const waterOf = (index: number, teams: number, height: number): string =>
  `${along(-20, WIDTH + 20, index, teams, height)}V-20H-20Z`

/** The line of a team, from its first beacon on, as far as `x`. */
export const lineOf = (index: number, teams: number, height: number, x = TO): string =>
  along(FROM - 10, x, index, teams, height)

/** Where the beacons of a team stand. */
export function pointsOf(
  index: number,
  teams: number,
  height: number,
  length: number,
): { x: number; y: number }[] {
  return Array.from({ length }, (_, place) => {
    const x = FROM + ((TO - 20 - FROM) * (place + 0.5)) / length
    return { x, y: depthAt(x, index, teams, height) }
  })
}
