/** Samples of -1..1 as a WAV file with 16 bits, one channel: every browser and every tool reads it. */
export function wavOf(samples: Float32Array, rate: number): Blob {
  const view = new DataView(new ArrayBuffer(44 + samples.length * 2))
  const text = (at: number, letters: string): void =>
    [...letters].forEach((letter, index) => view.setUint8(at + index, letter.charCodeAt(0)))
  text(0, 'RIFF')
  view.setUint32(4, 36 + samples.length * 2, true)
  text(8, 'WAVEfmt ')
  view.setUint32(16, 16, true)
  view.setUint16(20, 1, true)
  view.setUint16(22, 1, true)
  view.setUint32(24, rate, true)
  view.setUint32(28, rate * 2, true)
  view.setUint16(32, 2, true)
  view.setUint16(34, 16, true)
  text(36, 'data')
  view.setUint32(40, samples.length * 2, true)
  samples.forEach((sample, index) =>
    view.setInt16(44 + index * 2, Math.max(-1, Math.min(1, sample)) * 32767, true),
  )
  return new Blob([view.buffer], { type: 'audio/wav' })
}
