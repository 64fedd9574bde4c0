/** Tones as they are written, and how high they are. All of it is five tones, so that everything goes together. */

/** A piece that goes round: each step of the lead, and of the bass, sounds a tone or (null) rests. `step` is in seconds. */
export interface Piece {
  step: number
  lead: readonly (number | null)[]
  bass: readonly (number | null)[]
}

/** How the tones of a line sound: for how many steps, how loud (0..1), and in which shape. */
export interface Voice {
  steps: number
  loud: number
  shape: OscillatorType
}
export const LEAD: Voice = { steps: 3, loud: 0.16, shape: 'sine' }
export const BASS: Voice = { steps: 8, loud: 0.2, shape: 'triangle' }

/** A tone rises for this long, in seconds, and then dies away to this. */
export const riseOf = (length: number): number => Math.min(0.04, length / 4)
export const SILENT = 0.0001

/** How loud a tone still is, so many seconds after it began. Several together are never louder than their sum. */
export function loudnessOf(loud: number, length: number, after: number): number {
  const rise = riseOf(length)
  if (after < 0 || after >= length) return 0
  if (after < rise) return (loud * after) / rise
  return loud * (SILENT / loud) ** ((after - rise) / (length - rise))
}

const LOWEST = 146.83

/** Semitones above the lowest tone of a piece, as a frequency. */
export const frequencyOf = (semitones: number): number => LOWEST * 2 ** (semitones / 12)

const read = (line: string): (number | null)[] =>
  line
    .trim()
    .split(/\s+/)
    .map((sign) => (sign === '.' ? null : Number(sign)))

/** Semitones, with a dot for a rest; a bass that is shorter goes round by itself. */
export const pieceOf = (step: number, lead: string, bass: string): Piece => ({
  step,
  lead: read(lead),
  bass: read(bass),
})
