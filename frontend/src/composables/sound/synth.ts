/** Sounds made in the browser as they are played: nothing is fetched, and nothing was recorded. */
import { ref } from 'vue'
import { BASS, frequencyOf, LEAD, riseOf, SILENT, type Piece } from './notes'
import { SIGNALS, type Signal } from './signals'

const AHEAD = 1.2
const EVERY = 300

export function createSynth() {
  let context: AudioContext | null = null
  let master: GainNode | null = null
  let timer: ReturnType<typeof setInterval> | undefined
  let playing: Piece | null = null
  let at = 0
  let next = 0
  let on = false
  /** A browser lets a page be heard once somebody has touched it. */
  const waits = ref(false)

  function started(): AudioContext | null {
    if (!on || typeof AudioContext === 'undefined') return null
    if (!context) {
      context = new AudioContext()
      master = context.createGain()
      master.connect(context.destination)
      context.onstatechange = () => (waits.value = on && context?.state === 'suspended')
    }
    if (context.state === 'suspended') void context.resume()
    waits.value = context.state === 'suspended'
    return context.state === 'running' ? context : null
  }

  function tone(
    note: number,
    when: number,
    length: number,
    loud: number,
    shape: OscillatorType = 'sine',
  ): void {
    const oscillator = new OscillatorNode(context!, { type: shape, frequency: frequencyOf(note) })
    const gain = new GainNode(context!, { gain: 0 })
    gain.gain.setValueAtTime(0, when)
    gain.gain.linearRampToValueAtTime(loud, when + riseOf(length))
    gain.gain.exponentialRampToValueAtTime(SILENT, when + length)
    oscillator.connect(gain).connect(master!)
    oscillator.start(when)
    oscillator.stop(when + length)
  }

  function schedule(): void {
    const running = started()
    if (!running || !playing) return
    if (next < running.currentTime) next = running.currentTime + 0.1
    while (next < running.currentTime + AHEAD) {
      const { step, lead, bass } = playing
      const high = lead[at % lead.length]
      const low = bass[at % bass.length]
      if (high !== null && high !== undefined) tone(high, next, step * LEAD.steps, LEAD.loud, LEAD.shape)
      if (low !== null && low !== undefined) tone(low, next, step * BASS.steps, BASS.loud, BASS.shape)
      next += step
      at += 1
    }
  }

  /** Goes round until another piece, or none, is wanted. */
  function setPiece(piece: Piece | null): void {
    if (piece === playing) return
    playing = piece
    at = 0
    clearInterval(timer)
    timer = piece ? setInterval(schedule, EVERY) : undefined
  }

  function play(signal: Signal): void {
    const running = started()
    if (!running) return
    for (const { note, at: after, length, loud, shape } of SIGNALS[signal])
      tone(note, running.currentTime + after, length, loud, shape)
  }

  /** `volume` is 0..1. */
  function set(isOn: boolean, volume: number): void {
    on = isOn
    if (isOn) started()
    else void context?.suspend()
    if (master) master.gain.value = volume ** 2
    waits.value = isOn && context?.state === 'suspended'
  }

  function close(): void {
    clearInterval(timer)
    void context?.close()
  }

  /** After somebody has touched the page. */
  const wake = (): void => void started()
  return { waits, wake, set, setPiece, play, close }
}
