/** Records from the microphone into a WAV file, to be heard before it is kept. */
import { onScopeDispose, ref, shallowRef } from 'vue'
import { wavOf } from './wav'
import { t } from './words'

const RATE = 22050
const LONGEST_MS = 5 * 60_000
/** How often the microphone hands over what it heard. */
const PART_MS = 200

export function useRecorder() {
  const state = ref<'idle' | 'recording' | 'done'>('idle')
  const seconds = ref(0)
  const error = ref('')
  const file = shallowRef<File | null>(null)
  const url = ref('')
  let recorder: MediaRecorder | undefined
  let ticking: ReturnType<typeof setInterval> | undefined

  async function start(): Promise<void> {
    error.value = ''
    forget()
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: true })
      const parts: Blob[] = []
      recorder = new MediaRecorder(stream)
      // A microphone may take its time to wake up: what is said to be recorded has been heard.
      let heardSince = 0
      recorder.ondataavailable = (event) => {
        parts.push(event.data)
        if (event.data.size) heardSince ||= Date.now()
      }
      recorder.onstop = () => {
        stream.getTracks().forEach((track) => track.stop())
        void finish(new Blob(parts))
      }
      recorder.start(PART_MS)
      state.value = 'recording'
      const began = Date.now()
      ticking = setInterval(() => {
        seconds.value = heardSince && Math.floor((Date.now() - heardSince) / 1000)
        if (Date.now() - began > LONGEST_MS) stop()
      }, 250)
    } catch {
      error.value = t('the_microphone_cannot_be_used_allow')
    }
  }

  function stop(): void {
    clearInterval(ticking)
    if (recorder?.state === 'recording') recorder.stop()
  }

  async function finish(recorded: Blob): Promise<void> {
    try {
      const context = new OfflineAudioContext(1, 1, RATE)
      const decoded = await context.decodeAudioData(await recorded.arrayBuffer())
      file.value = new File([wavOf(decoded.getChannelData(0), decoded.sampleRate)], 'recording.wav', {
        type: 'audio/wav',
      })
      url.value = URL.createObjectURL(file.value)
      state.value = 'done'
    } catch {
      error.value = t('nothing_was_recorded_try_again')
      state.value = 'idle'
    }
  }

  function forget(): void {
    if (url.value) URL.revokeObjectURL(url.value)
    url.value = ''
    file.value = null
    seconds.value = 0
    state.value = 'idle'
  }

  onScopeDispose(() => {
    stop()
    forget()
  })
  return { state, seconds, error, file, url, start, stop, forget }
}
