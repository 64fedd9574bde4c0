/**
 * The saving of a set that is being written.
 *
 * 1. Every change is kept on this device at once and sent to the server half a second later.
 * 2. Nothing is overwritten: a change made on an older version of a question comes back as a conflict,
 *    and waits there until the teacher chooses.
 * 3. Without a connection writing goes on; what was not sent is sent when it is back, or when the set
 *    is opened on this device again.
 */
import { useEventListener } from '@vueuse/core'
import { onScopeDispose, ref, shallowRef } from 'vue'
import { api, data } from '@/api/http'
import { Refusal } from '@/api/refusal'
import { sentenceOf } from '@/told'
import { shelfOf } from '@/ui/shelf'
import type { Conflict, ItemProblem, SetDocument } from '@/api/types'
import {
  adopted,
  changesBetween,
  draftFrom,
  hasNews,
  knownAfter,
  knownFrom,
  merged,
  type Draft,
  type Known,
} from './changes'

export type SaveState = 'saved' | 'saving' | 'offline' | 'refused'

/** What was written and not sent yet. */
interface Unsent {
  draft: Draft
  known: Known
}

const SEND_AFTER = 500
const RETRY_AFTER = 3000

export function useSetSaving(setId: number) {
  const draft = shallowRef<Draft>({ title: '', about: {}, items: [] })
  const problems = ref<ItemProblem[]>([])
  const conflicts = ref<Map<string, Conflict>>(new Map())
  const state = ref<SaveState>('saved')
  const refusal = ref('')
  const loadError = ref<unknown>(null)
  /** As it was when the page was opened; null until then. */
  const opened = shallowRef<SetDocument | null>(null)
  const shelf = shelfOf<Unsent>(`lantern.set.${setId}`)
  let known: Known = { title: '', about: '{}', order: [], items: {} }
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending = false

  async function fetchDocument(): Promise<SetDocument> {
    return data(api.GET('/api/sets/{set_id}', { params: { path: { set_id: setId } } }))
  }

  async function load(): Promise<void> {
    try {
      const document = await fetchDocument()
      const unsent = shelf.read()
      if (unsent) [draft.value, known] = [unsent.draft, unsent.known]
      if (unsent) takeIn(document)
      else startFrom(document)
      opened.value = document
      if (unsent) schedule(0)
    } catch (error) {
      loadError.value = error
    }
  }

  function startFrom(document: SetDocument): void {
    known = knownFrom(document)
    draft.value = draftFrom(document)
    problems.value = document.problems
  }

  /** What is new on the server, with what was changed here left as it is. */
  function takeIn(document: SetDocument): void {
    draft.value = merged(draft.value, known, document)
    known = adopted(known, draft.value, document)
    problems.value = document.problems
  }

  function schedule(after = SEND_AFTER): void {
    clearTimeout(timer)
    timer = setTimeout(() => void send(), after)
  }

  /** The draft as it is from now on. */
  function apply(next: Draft): void {
    draft.value = next
    state.value = 'saving'
    shelf.write({ draft: next, known })
    schedule()
  }

  async function send(): Promise<void> {
    if (sending) return schedule()
    const changes = changesBetween(known, draft.value, new Set(conflicts.value.keys()))
    if (!changes) {
      shelf.clear()
      state.value = 'saved'
      return
    }
    sending = true
    state.value = 'saving'
    try {
      const path = { set_id: setId }
      const saved = await data(api.PATCH('/api/sets/{set_id}', { params: { path }, body: changes }))
      const news = hasNews(known, saved, changes)
      known = knownAfter(known, changes, saved)
      problems.value = saved.problems
      for (const conflict of saved.conflicts) conflicts.value.set(conflict.id, conflict)
      sending = false
      if (news) takeIn(await fetchDocument())
      await send()
    } catch (error) {
      sending = false
      const isRefused = error instanceof Refusal && error.status >= 400 && error.status < 500
      refuse(error, isRefused ? 'refused' : 'offline')
      schedule(RETRY_AFTER)
    }
  }

  /** Says why something could not be done. */
  function refuse(error: unknown, as: SaveState = 'refused'): void {
    refusal.value = sentenceOf(error)
    state.value = as
  }

  /** What is on the server, in the place of what is here. */
  async function fetchAgain(): Promise<void> {
    startFrom(await fetchDocument())
  }

  /** A conflict is settled: what is on the server counts as known. Returns it. */
  function settled(id: string): Conflict | undefined {
    const conflict = conflicts.value.get(id)
    if (!conflict) return undefined
    conflicts.value.delete(id)
    const { theirs, version } = conflict
    if (theirs) known.items[id] = { version, text: JSON.stringify(theirs) }
    else delete known.items[id]
    return conflict
  }

  /** What another window did meanwhile, when this one is looked at again. */
  async function lookAgain(): Promise<void> {
    const isBusy = sending || state.value !== 'saved' || !opened.value
    if (document.visibilityState !== 'visible' || isBusy) return
    await fetchDocument()
      .then(takeIn)
      .catch(() => undefined)
  }

  useEventListener(document, 'visibilitychange', lookAgain)
  useEventListener(window, 'focus', lookAgain)
  useEventListener(window, 'online', () => schedule(0))
  useEventListener(window, 'beforeunload', (event: BeforeUnloadEvent) => {
    if (state.value === 'refused') event.preventDefault()
  })
  onScopeDispose(() => {
    clearTimeout(timer)
    if (state.value !== 'saved') void send()
  })

  void load()
  return {
    draft,
    problems,
    conflicts,
    state,
    refusal,
    loadError,
    opened,
    apply,
    send,
    refuse,
    fetchAgain,
    settled,
  }
}
