import { ref } from 'vue'
import { Refusal } from '@/api/refusal'
import { sentenceOf } from '@/told'

/** Runs a form's action and keeps what the server says against it, by field ('' for the whole form). */
export function useForm() {
  const busy = ref(false)
  const errors = ref<Record<string, string>>({})

  async function submit(action: () => Promise<unknown>): Promise<boolean> {
    busy.value = true
    errors.value = {}
    try {
      await action()
      return true
    } catch (error) {
      const field = error instanceof Refusal ? (error.field ?? '') : ''
      errors.value = { [field]: sentenceOf(error) }
      return false
    } finally {
      busy.value = false
    }
  }
  return { busy, errors, submit }
}
