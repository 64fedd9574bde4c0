/** Fields of a game's settings that hold a number, or nothing; and the time after which it ends for all. */
import { computed, type Ref, type WritableComputedRef } from 'vue'
import type { Settings } from '@/api/types'

const MOST_MINUTES = 360

/** What was typed, within its bounds; null for nothing. */
export function numberIn(event: Event, least: number, most: number): number | null {
  const field = event.target as HTMLInputElement
  const wanted = Math.round(Number(field.value))
  return field.value && Number.isFinite(wanted) ? Math.min(most, Math.max(least, wanted)) : null
}

/** Minutes after which it ends for all; null where time alone does not end it. */
export const useMinutes = (settings: Ref<Settings>): WritableComputedRef<number | null> =>
  computed({
    get: () => (settings.value.time.of === 'whole' ? Math.round(settings.value.time.whole / 60) : null),
    set: (wanted) => {
      const time = wanted
        ? { ...settings.value.time, of: 'whole' as const, whole: Math.min(MOST_MINUTES, wanted) * 60 }
        : { ...settings.value.time, of: 'none' as const }
      settings.value = { ...settings.value, time }
    },
  })
