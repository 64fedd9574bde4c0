/** What is being brought in, kept on this device until it is added or thrown away. The device keeps it for whoever is signed in
 * (accounts/teacher.ts). */
import { useEventListener, watchDebounced } from '@vueuse/core'
import { ref, watch, type Ref, type WatchSource } from 'vue'
import { forgetOnDevice, keepOnDevice, keptOnDevice } from '@/ui/onDevice'

const PLACE = 'bring-in'

/** A device that keeps nothing is no reason to stop. */
async function quietly<T>(action: () => Promise<T>): Promise<T | undefined> {
  try {
    return await action()
  } catch {
    return undefined
  }
}

/** Whether it was kept. */
export const keep = async (value: unknown): Promise<boolean> =>
  (await quietly(() => keepOnDevice(PLACE, value).then(() => true))) ?? false
export const kept = <T>(): Promise<T | undefined> => quietly(() => keptOnDevice<T>(PLACE))
export const forget = (): Promise<void | undefined> => quietly(() => forgetOnDevice(PLACE))

/** Keeps what `snapshot` gives (null for nothing) whenever `state` has changed, and when the page goes. Whether all of it, as it
 * stands, is kept: what was changed while it was being kept is not yet. */
export function useKept(state: WatchSource[], snapshot: () => unknown): Ref<boolean> {
  const safe = ref(false)
  let changes = 0
  async function keepAll(): Promise<void> {
    const mine = changes
    const now = snapshot()
    const isKept = now !== null && (await keep(now))
    if (mine === changes) safe.value = isKept
  }
  watch(
    state,
    () => {
      changes += 1
      safe.value = false
    },
    { deep: true },
  )
  watchDebounced(state, keepAll, { debounce: 300, deep: true })
  useEventListener(window, 'pagehide', keepAll)
  return safe
}
