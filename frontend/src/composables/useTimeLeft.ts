import { computed, onScopeDispose, ref, type ComputedRef, type Ref } from 'vue'

export interface TimeLeft {
  /** Whole seconds left, rounded up; null without a limit. */
  seconds: ComputedRef<number | null>
  /** Share of the whole time that is left, 0..1; 1 without a limit. */
  share: ComputedRef<number>
  /** Whole seconds that have passed since the beginning. */
  passed: ComputedRef<number>
  /** The server's time, in milliseconds. */
  now: ComputedRef<number>
}

interface Span {
  opened_at?: number | null
  deadline?: number | null
}

/** What is left of a span, told by the server's clock (`offset`: server minus device, milliseconds). */
export function useTimeLeft(span: () => Span | null | undefined, offset: Ref<number>): TimeLeft {
  const now = ref(Date.now())
  const timer = setInterval(() => (now.value = Date.now()), 200)
  onScopeDispose(() => clearInterval(timer))

  const left = computed(() => {
    const deadline = span()?.deadline
    return deadline ? Math.max(0, deadline - (now.value + offset.value)) : null
  })
  const seconds = computed(() => (left.value === null ? null : Math.ceil(left.value / 1000)))
  const share = computed(() => {
    const { opened_at: opened, deadline } = span() ?? {}
    if (left.value === null || !opened || !deadline) return 1
    return Math.min(1, left.value / Math.max(1, deadline - opened))
  })
  const passed = computed(() => {
    const opened = span()?.opened_at
    return opened ? Math.max(0, Math.floor((now.value + offset.value - opened) / 1000)) : 0
  })
  return { seconds, share, passed, now: computed(() => now.value + offset.value) }
}
