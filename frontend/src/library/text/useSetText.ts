/**
 * A set that is written as text.
 *
 * 1. What the text means is asked of the server as it is written; nothing is changed by that.
 * 2. It is taken over as a whole, once every line of it is understood, as one step that can be undone.
 * 3. Until then it is kept on this device: a closed tab or a slip of the hand loses nothing.
 */
import { useEventListener, watchDebounced } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api, data } from '@/api/http'
import type { Item, ReadText } from '@/api/types'
import { sentenceOf } from '@/told'
import { ownShelf } from '@/ui/shelf'
import { useSetEditor } from '../useSetEditor'

interface Kept {
  text: string
  /** The set as text at the time. */
  base: string
}

export function useSetText(setId: number) {
  const editor = useSetEditor(setId)
  const shelf = ownShelf<Kept>(`text.${setId}`)
  const text = ref('')
  /** The set as text, as it is kept in the set. */
  const base = ref<string>()
  const read = shallowRef<ReadText>()
  const error = ref('')
  /** What was found on this device from last time, and whether the set has changed since. */
  const found = ref<'' | 'goes_on' | 'set_changed'>('')
  const taken = ref(false)
  const isChanged = computed(() => base.value !== undefined && text.value !== base.value)
  let latest = 0

  async function open(): Promise<void> {
    try {
      const written = (await data(api.POST('/api/sets/write-text', { body: editor.draft.value }))).text
      const kept = shelf.read()
      if (kept && kept.text !== written) found.value = kept.base === written ? 'goes_on' : 'set_changed'
      text.value = kept?.text ?? written
      base.value = written
      await look()
    } catch (failure) {
      error.value = sentenceOf(failure)
    }
  }
  watch(editor.ready, (isReady) => isReady && void open(), { immediate: true })

  /** Asks what the text means; an answer that another one has overtaken is dropped. */
  async function look(): Promise<void> {
    const mine = ++latest
    const body = { text: text.value, present: editor.draft.value.items }
    const answer = await data(api.POST('/api/sets/read-text', { body }))
    if (mine === latest) [read.value, error.value] = [answer, '']
  }

  function keep(): void {
    if (base.value === undefined) return
    if (isChanged.value) shelf.write({ text: text.value, base: base.value })
    else shelf.clear()
  }

  watch(text, () => (taken.value = false))
  watchDebounced(
    text,
    async () => {
      keep()
      await look().catch((failure) => (error.value = sentenceOf(failure)))
    },
    { debounce: 300 },
  )
  useEventListener(window, 'pagehide', keep)
  onScopeDispose(keep)

  /** Puts what the text says into the set. Returns the line of the first place that is not understood, if any. */
  async function take(): Promise<number | undefined> {
    try {
      await look()
      if (!read.value) return undefined
      const { content, misread } = read.value
      if (misread.length) return misread[0]!.line
      const { title, about, items } = content
      editor.replace({ title, about: about ?? {}, items: (items ?? []) as Item[] })
      await editor.sendNow()
      base.value = text.value
      found.value = ''
      taken.value = true
      keep()
    } catch (failure) {
      error.value = sentenceOf(failure)
    }
    return undefined
  }

  function throwAway(): void {
    text.value = base.value ?? ''
    found.value = ''
  }

  return {
    editor,
    text,
    read,
    error,
    found,
    taken,
    isChanged,
    isOpen: computed(() => base.value !== undefined),
    take,
    throwAway,
  }
}
