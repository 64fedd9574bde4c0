/** What a screen reader is told: the time at 30, 10 and 5 seconds, "sent", the close, the result. */
import { ref, watch, type ComputedRef, type Ref } from 'vue'
import type { StudentView } from '@/api/types'
import { registry } from '@/questions/registry'
import type { SentState } from './useSeat'
import { t } from './words'

const AT = [30, 10, 5]

export function announcement(
  view: ComputedRef<StudentView | null>,
  state: ComputedRef<SentState>,
  seconds: ComputedRef<number | null>,
): Ref<string> {
  const spoken = ref('')

  watch(seconds, (now, before) => {
    if (now === null || state.value !== 'none') return
    const passed = AT.find((at) => now <= at && (before ?? Infinity) > at)
    if (passed) spoken.value = t('seconds_left', { n: now })
  })
  watch(state, (now) => {
    if (now === 'sent') spoken.value = t('answer_is_sent')
  })
  watch(
    () => view.value?.step,
    () => {
      const { phase, shown } = view.value ?? {}
      if (!shown) return
      const words = registry[shown.item.kind].inWords(shown.item, shown.tally ?? null, shown.key ?? null)
      if (phase === 'open') spoken.value = t('question_open', { number: shown.number ?? '' })
      if (phase === 'closed') spoken.value = t('question_closed', { words })
      if (phase === 'revealed') spoken.value = words
    },
  )
  return spoken
}
