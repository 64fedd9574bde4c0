/** Tones as they are written, and how high they are. All of it is five tones, so that everything goes together. */

/** A piece that goes round: each step of the lead, and of the bass, sounds a tone or (null) rests. `step` is in seconds. */
export interface Piece {
  step: number
  lead: readonly (number | null)[]
  bass: readonly (number | null)[]
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
