import { ref } from 'vue'
import { sentenceOf } from '@/told'

/** Runs what may be refused: while it runs the page is busy, and what the server says against it stands in `error`. */
export function useAttempt() {
  const busy = ref(false)
  const error = ref('')

  async function attempt<T>(action: () => Promise<T>): Promise<T | undefined> {
    busy.value = true
    error.value = ''
    try {
      return await action()
    } catch (failure) {
      error.value = sentenceOf(failure)
    } finally {
      busy.value = false
    }
  }
  return { busy, error, attempt }
}
