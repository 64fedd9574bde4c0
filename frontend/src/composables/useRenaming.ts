/** A title that is written over where it stands: kept by Enter or by leaving it, let be by Escape. */
import { nextTick, ref, useTemplateRef } from 'vue'

export function useRenaming(title: () => string, rename: (title: string) => void) {
  /** What is being typed; null while nothing is. */
  const typing = ref<string | null>(null)
  /** The field, by the name that it has in the template. */
  const input = useTemplateRef<HTMLInputElement>('input')

  async function start(): Promise<void> {
    typing.value = title()
    await nextTick()
    input.value?.select()
  }

  function finish(): void {
    const typed = typing.value
    typing.value = null
    if (typed !== null && typed !== title()) rename(typed)
  }

  return { typing, start, finish }
}
