/** Sounds of the big screen, made as they are played: nothing is fetched, and nothing was recorded. */
import { onScopeDispose, ref, watch, type Ref } from 'vue'
import { cueOf, frequencyOf, PIECE, playsPiece, STEP, type Moment } from './cues'

const AHEAD = 1.2
const CHORD = [12, 16, 19, 24]

export function useSounds(now: () => Moment, isOn: Ref<boolean>, volume: Ref<number>) {
  let context: AudioContext | null = null
  let master: GainNode | null = null
  let timer: ReturnType<typeof setInterval> | undefined
  let before: Moment | null = null
  let at = 0
  let next = 0
  /** A browser lets a page be heard once somebody has touched it. */
  const waits = ref(false)

  function started(): AudioContext | null {
    if (!isOn.value || typeof AudioContext === 'undefined') return null
    if (!context) {
      context = new AudioContext()
      master = context.createGain()
      master.connect(context.destination)
      context.onstatechange = () => (waits.value = isOn.value && context?.state === 'suspended')
    }
    master!.gain.value = volume.value ** 2
    if (context.state === 'suspended') void context.resume()
    waits.value = context.state === 'suspended'
    return context
  }

  function tone(
    frequency: number,
    when: number,
    length: number,
    loud: number,
    shape: OscillatorType = 'sine',
  ): void {
    const oscillator = new OscillatorNode(context!, { type: shape, frequency })
    const gain = new GainNode(context!, { gain: 0 })
    gain.gain.setValueAtTime(0, when)
    gain.gain.linearRampToValueAtTime(loud, when + Math.min(0.04, length / 4))
    gain.gain.exponentialRampToValueAtTime(0.0001, when + length)
    oscillator.connect(gain).connect(master!)
    oscillator.start(when)
    oscillator.stop(when + length)
  }

  function schedule(): void {
    const playing = started()
    if (!playing || playing.state !== 'running') return
    if (next < playing.currentTime) next = playing.currentTime + 0.1
    while (next < playing.currentTime + AHEAD) {
      const step = at % PIECE.length
      const note = PIECE[step]
      if (note !== null && note !== undefined) tone(frequencyOf(note), next, STEP * 3, 0.16)
      if (step % 8 === 0) tone(frequencyOf(step % 16 ? -5 : 0), next, STEP * 8, 0.2, 'triangle')
      next += STEP
      at += 1
    }
  }

  function play(cue: ReturnType<typeof cueOf>): void {
    const playing = started()
    if (!playing || playing.state !== 'running') return
    if (cue === 'tick') tone(1174.66, playing.currentTime, 0.09, 0.25, 'triangle')
    if (cue === 'chord')
      CHORD.forEach((note, index) => tone(frequencyOf(note), playing.currentTime + index * 0.09, 1.8, 0.2))
  }

  watch(
    now,
    (moment) => {
      const cue = cueOf(before, moment)
      before = moment
      if (cue) play(cue)
      const plays = isOn.value && playsPiece(moment)
      if (plays && !timer) timer = setInterval(schedule, 300)
      if (!plays) {
        clearInterval(timer)
        timer = undefined
      }
    },
    { immediate: true, deep: true },
  )
  watch(
    [isOn, volume],
    () => {
      if (isOn.value) started()
      else void context?.suspend()
      waits.value = isOn.value && context?.state === 'suspended'
      if (isOn.value && playsPiece(now()) && !timer) timer = setInterval(schedule, 300)
    },
    { immediate: true },
  )
  onScopeDispose(() => {
    clearInterval(timer)
    void context?.close()
  })
  /** After somebody has touched the page. */
  const wake = (): void => void started()
  return { waits, wake }
}
