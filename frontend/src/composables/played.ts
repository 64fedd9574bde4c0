/** Sound that came with a message. */

/** Plays it; `over` resolves once it was played, or stopped. */
export function playWav(wav: string): { audio: HTMLAudioElement; over: Promise<void>; stop: () => void } {
  const bytes = Uint8Array.from(atob(wav), (char) => char.charCodeAt(0))
  const address = URL.createObjectURL(new Blob([bytes], { type: 'audio/wav' }))
  const audio = new Audio(address)
  const over = new Promise<void>((resolve) => {
    audio.onended = audio.onerror = audio.onpause = () => resolve()
    audio.play().catch(() => resolve())
  }).finally(() => URL.revokeObjectURL(address))
  return { audio, over, stop: () => audio.pause() }
}
