/** Short signals: right, wrong, something is lit, a second of the last few, a result, the end. */

/** A tone of a signal: semitones, when it begins and how long it sounds, in seconds, and how loud, 0..1. */
export interface Tone {
  note: number
  at: number
  length: number
  loud: number
  shape?: OscillatorType
}
export type Signal = 'tick' | 'result' | 'right' | 'wrong' | 'lit' | 'end'

const rising = (notes: number[], apart: number, length: number, loud: number): Tone[] =>
  notes.map((note, index) => ({ note, at: index * apart, length, loud }))

export const SIGNALS: Record<Signal, readonly Tone[]> = {
  tick: [{ note: 36, at: 0, length: 0.09, loud: 0.25, shape: 'triangle' }],
  result: rising([12, 16, 19, 24], 0.09, 1.8, 0.2),
  right: rising([24, 31], 0.1, 0.7, 0.22),
  wrong: [
    { note: 9, at: 0, length: 0.35, loud: 0.2, shape: 'triangle' },
    { note: 7, at: 0.16, length: 0.5, loud: 0.18, shape: 'triangle' },
  ],
  lit: [
    { note: 28, at: 0, length: 0.5, loud: 0.16 },
    { note: 33, at: 0.07, length: 0.9, loud: 0.12 },
  ],
  end: rising([7, 12, 16, 19, 24, 28], 0.16, 2.6, 0.18),
}

/** How long it sounds, in seconds. */
export const lengthOf = (signal: Signal): number =>
  Math.max(...SIGNALS[signal].map((tone) => tone.at + tone.length))
