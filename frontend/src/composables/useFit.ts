import { useEventListener, useMutationObserver, useResizeObserver } from '@vueuse/core'
import { nextTick, ref, watch, type Ref } from 'vue'

const STEPS = [1, 0.92, 0.85, 0.78, 0.72, 0.66, 0.6]

/**
 * The largest of a few scales at which `content` fits into `frame`: a long question steps down in size
 * rather than running off the screen. At the smallest it may scroll.
 */
export function useFit(frame: Ref<HTMLElement | undefined>, content: () => unknown): Ref<number> {
  const scale = ref(1)

  async function fit(): Promise<void> {
    for (const step of STEPS) {
      scale.value = step
      await nextTick()
      const box = frame.value
      if (!box || box.scrollHeight <= box.clientHeight + 1) return
    }
  }

  watch(content, () => void fit(), { flush: 'post', immediate: true })
  useResizeObserver(frame, () => void fit())
  // Views of kinds are loaded when they are needed, and pictures come later still.
  useMutationObserver(frame, () => void fit(), { childList: true, subtree: true })
  useEventListener(frame, 'load', () => void fit(), { capture: true })
  return scale
}
