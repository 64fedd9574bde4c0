/** Where things lie on the chart: channels fan out from the harbour, drawn for a width of 1000 and a height of 560. */
export const WIDTH = 1000
export const HEIGHT = 560
const HARBOUR = { x: 500, y: 556 }
const REACH = { x: 326, y: 452 }
/** Degrees from the horizontal, of the first and the last channel. */
const FROM = 168
const TO = 12
/** How far out the first sounding lies, and the last, as a share of the reach. */
const NEAR = 0.27
const FAR = 0.98

export interface Point {
  x: number
  y: number
}

const along = (angle: number, share: number): Point => ({
  x: HARBOUR.x + Math.cos(angle) * REACH.x * share,
  y: HARBOUR.y - Math.sin(angle) * REACH.y * share,
})

const angleOf = (index: number, channels: number): number => {
  const degrees = channels === 1 ? 90 : FROM + ((TO - FROM) * index) / (channels - 1)
  return (degrees * Math.PI) / 180
}

/** The soundings of a channel, from the harbour outwards, and both ends of its line. */
export function channelAt(
  index: number,
  channels: number,
  soundings: number,
  longest: number,
): { points: Point[]; start: Point; end: Point } {
  const angle = angleOf(index, channels)
  const step = (FAR - NEAR) / Math.max(1, longest - 1)
  const shares = Array.from({ length: soundings }, (_, place) => NEAR + step * place)
  return {
    points: shares.map((share) => along(angle, share)),
    start: along(angle, 0.1),
    end: along(angle, FAR),
  }
}

/** The lines of equal depth, from the harbour outwards. */
export const depths = (longest: number): string[] =>
  Array.from({ length: longest }, (_, place) => {
    const share = NEAR + ((FAR - NEAR) / Math.max(1, longest - 1)) * place
    const xs = Array.from({ length: 49 }, (_, step) => along(Math.PI * (1 - step / 48), share))
    return xs.map(({ x, y }, step) => `${step ? 'L' : 'M'}${x.toFixed(0)} ${y.toFixed(1)}`).join('')
  })

/** Where the name of a channel stands: beyond its last sounding, to the side that has room. */
export function nameAt(
  index: number,
  channels: number,
): { x: number; y: number; side: 'left' | 'right' | 'above' } {
  const angle = angleOf(index, channels)
  const { x, y } = along(angle, 1)
  const across = Math.cos(angle)
  return { x, y, side: Math.abs(across) < 0.55 ? 'above' : across < 0 ? 'left' : 'right' }
}
