/** Sounds of a student's own device: off unless somebody asked for them here. */
import { onScopeDispose, watch, type ComputedRef, type Ref } from 'vue'
import type { Mine, StudentView } from '@/api/types'
import { chosen } from '../look'
import { heardOf, signalOf, type Heard } from './heard'

const VOLUME = 0.6

export function useHeard(view: ComputedRef<StudentView | null>, mine: Ref<Mine | null>): void {
  let synth: ReturnType<(typeof import('@/composables/sound/synth'))['createSynth']> | null = null
  let before: Heard | null = null

  watch(
    () => chosen.sounds,
    async (on) => {
      if (on) synth ??= (await import('@/composables/sound/synth')).createSynth()
      synth?.set(chosen.sounds, VOLUME)
    },
    { immediate: true },
  )
  watch([view, mine], () => {
    if (!view.value) return
    const now = heardOf(view.value, mine.value)
    const signal = signalOf(before, now)
    before = now
    if (signal) synth?.play(signal)
  })
  /** A browser lets a page be heard once somebody has touched it. */
  const wake = (): void => synth?.wake()
  document.addEventListener('pointerdown', wake)
  onScopeDispose(() => {
    document.removeEventListener('pointerdown', wake)
    synth?.close()
  })
}
