/**
 * A set being written.
 *
 * 1. Every change is kept on this device at once and sent to the server half a second later.
 * 2. Nothing is overwritten: a change made on an older version of a question comes back as a conflict,
 *    and waits there until the teacher chooses.
 * 3. Without a connection writing goes on; what was not sent is sent when it is back, or when the set
 *    is opened on this device again.
 */
import { useEventListener } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { api, data } from '@/api/http'
import { newId } from '@/api/ids'
import { Refusal, sentenceOf } from '@/api/refusal'
import type { About, Conflict, Item, ItemProblem, Kind, SetDocument } from '@/api/types'
import { blankItem } from '@/questions/blank'
import {
  changesBetween,
  draftFrom,
  hasNews,
  knownAfter,
  knownFrom,
  merged,
  type Draft,
  type Known,
} from './changes'
import { typingTag, useHistory } from './history'

export type SaveState = 'saved' | 'saving' | 'offline' | 'refused'

const SEND_AFTER = 500
const RETRY_AFTER = 3000

export function useSetEditor(setId: number) {
  const draft = shallowRef<Draft>({ title: '', about: {}, items: [] })
  const problems = ref<ItemProblem[]>([])
  const conflicts = ref<Map<string, Conflict>>(new Map())
  const state = ref<SaveState>('saved')
  const refusal = ref('')
  const loadError = ref<unknown>(null)
  const ready = ref(false)
  const history = useHistory<Draft>(`lantern.undo.${setId}`)
  const shelf = `lantern.set.${setId}`
  let known: Known = { title: '', about: '{}', order: [], items: {} }
  const madeFrom = ref<SetDocument['made_from']>(null)
  const isPrivate = ref(false)
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending = false

  async function fetchDocument(): Promise<SetDocument> {
    return data(api.GET('/api/sets/{set_id}', { params: { path: { set_id: setId } } }))
  }

  async function load(): Promise<void> {
    try {
      const document = await fetchDocument()
      const unsent = readShelf()
      known = unsent?.known ?? knownFrom(document)
      draft.value = unsent ? merged(unsent.draft, unsent.known, document) : draftFrom(document)
      if (unsent) adoptVersions(document)
      problems.value = document.problems
      madeFrom.value = document.made_from
      isPrivate.value = document.private
      ready.value = true
      if (unsent) schedule(0)
    } catch (error) {
      loadError.value = error
    }
  }

  /** After a merge: what was not changed here counts as known in its newest version. */
  function adoptVersions(document: SetDocument): void {
    const fresh = knownFrom(document)
    const items = { ...fresh.items }
    for (const item of draft.value.items) {
      const before = known.items[item.id]
      if (before && before.text !== JSON.stringify(item) && items[item.id]) items[item.id] = before
    }
    known = { ...fresh, items }
  }

  function readShelf(): { draft: Draft; known: Known } | null {
    try {
      return JSON.parse(localStorage.getItem(shelf) ?? 'null')
    } catch {
      return null
    }
  }

  function writeShelf(): void {
    try {
      localStorage.setItem(shelf, JSON.stringify({ draft: draft.value, known }))
    } catch {
      // The device has no room: what is on the page is still sent to the server.
    }
  }

  function schedule(after = SEND_AFTER): void {
    clearTimeout(timer)
    timer = setTimeout(() => void send(), after)
  }

  async function send(): Promise<void> {
    if (sending) return schedule()
    const changes = changesBetween(known, draft.value, new Set(conflicts.value.keys()))
    if (!changes) {
      localStorage.removeItem(shelf)
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
      if (news) await takeNews()
      await send()
    } catch (error) {
      sending = false
      const isRefused = error instanceof Refusal && error.status >= 400 && error.status < 500
      state.value = isRefused ? 'refused' : 'offline'
      refusal.value = sentenceOf(error)
      schedule(RETRY_AFTER)
    }
  }

  async function takeNews(): Promise<void> {
    const document = await fetchDocument()
    draft.value = merged(draft.value, known, document)
    adoptVersions(document)
    problems.value = document.problems
  }

  /** A change by the teacher. Changes with the same tag in quick succession are undone in one step. */
  function change(next: Draft, tag = ''): void {
    history.keep(draft.value, tag)
    apply(next)
  }

  function apply(next: Draft): void {
    draft.value = next
    state.value = 'saving'
    writeShelf()
    schedule()
  }

  const setItems = (items: Item[], tag = ''): void => change({ ...draft.value, items }, tag)
  const indexOf = (id: string): number => draft.value.items.findIndex((item) => item.id === id)

  function update(item: Item): void {
    const before = draft.value.items[indexOf(item.id)]
    if (!before) return
    setItems(
      draft.value.items.map((one) => (one === before ? item : one)),
      typingTag(before, item),
    )
  }

  /** A new item behind `after` (or at the end). Returns its id. */
  function add(kind: Kind, after?: string): string {
    const item = blankItem(kind, newId())
    insert(item, after)
    return item.id
  }

  function insert(item: Item, after?: string): void {
    const at = after ? indexOf(after) + 1 : draft.value.items.length
    setItems([...draft.value.items.slice(0, at), item, ...draft.value.items.slice(at)])
  }

  /** The same change to each of these items, as one step. */
  function updateMany(ids: ReadonlySet<string>, edit: (item: Item) => Item): void {
    setItems(draft.value.items.map((item) => (ids.has(item.id) ? edit(item) : item)))
  }

  function removeMany(ids: ReadonlySet<string>): void {
    setItems(draft.value.items.filter((item) => !ids.has(item.id)))
  }

  /** Moves these items together, keeping their order among themselves. */
  function moveMany(ids: ReadonlySet<string>, offset: -1 | 1): void {
    const items = [...draft.value.items]
    const places = items.map((_, index) => index)
    for (const at of offset < 0 ? places : places.reverse()) {
      const other = items[at + offset]
      if (!ids.has(items[at]!.id) || !other || ids.has(other.id)) continue
      items[at + offset] = items[at]!
      items[at] = other
    }
    setItems(items)
  }

  /** Kept at once, and not among what can be undone: it is no part of the set's content. */
  async function setPrivacy(on: boolean): Promise<void> {
    isPrivate.value = on
    const params = { path: { set_id: setId } }
    await data(api.PUT('/api/sets/{set_id}/privacy', { params, body: { private: on } })).catch((error) => {
      isPrivate.value = !on
      refusal.value = sentenceOf(error)
      state.value = 'refused'
    })
  }

  const append = (added: readonly Item[]): void => setItems([...draft.value.items, ...added])

  /** The item as another kind; the server knows what can be kept. */
  async function turn(id: string, into: Kind): Promise<void> {
    const item = draft.value.items[indexOf(id)]
    if (!item || item.kind === into) return
    try {
      const language = draft.value.about.language ?? ''
      const turned = await data(api.POST('/api/sets/turn', { body: { item, into, language } }))
      const blank = blankItem(into, id)
      setItems(draft.value.items.map((one) => (one.id === id ? ({ ...blank, ...turned.item } as Item) : one)))
    } catch (error) {
      refusal.value = sentenceOf(error)
      state.value = 'refused'
    }
  }

  /** What was brought back or added on the server. */
  async function reload(): Promise<void> {
    await send()
    history.keep(draft.value, '')
    const document = await fetchDocument()
    known = knownFrom(document)
    draft.value = draftFrom(document)
    problems.value = document.problems
  }

  function duplicate(id: string): string {
    const copy = { ...draft.value.items[indexOf(id)]!, id: newId() }
    insert(copy, id)
    return copy.id
  }

  function move(id: string, offset: number): void {
    const from = indexOf(id)
    const to = from + offset
    if (to < 0 || to >= draft.value.items.length) return
    const items = [...draft.value.items]
    items.splice(to, 0, ...items.splice(from, 1))
    setItems(items)
  }

  const remove = (id: string): void => setItems(draft.value.items.filter((item) => item.id !== id))

  function step(walk: typeof history.undo): void {
    const target = walk(draft.value)
    if (target) apply(target)
  }

  /** Settle a conflict: keep what is on this page, or take what is on the server. */
  function settle(id: string, keep: 'mine' | 'theirs'): void {
    const conflict = conflicts.value.get(id)
    if (!conflict) return
    conflicts.value.delete(id)
    if (conflict.theirs)
      known.items[id] = { version: conflict.version, text: JSON.stringify(conflict.theirs) }
    else delete known.items[id]
    const { theirs } = conflict
    if (keep === 'mine') return apply({ ...draft.value })
    if (!theirs) return remove(id)
    const isHere = indexOf(id) >= 0
    if (isHere) update(theirs)
    else insert(theirs)
  }

  /** What another window did meanwhile, when this one is looked at again. */
  async function lookAgain(): Promise<void> {
    if (document.visibilityState !== 'visible' || sending || state.value !== 'saved' || !ready.value) return
    await takeNews().catch(() => undefined)
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
    ready,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    undo: () => step(history.undo),
    redo: () => step(history.redo),
    madeFrom,
    isPrivate,
    setPrivacy,
    setTitle: (title: string) => change({ ...draft.value, title }, 'title'),
    setAbout: (about: About) => change({ ...draft.value, about }, 'about'),
    /** The whole set as it was written elsewhere, as one step to undo. */
    replace: (next: Draft) => change(next),
    updateMany,
    removeMany,
    moveMany,
    append,
    turn,
    reload,
    isEmpty: computed(() => draft.value.items.length === 0),
    update,
    add,
    duplicate,
    move,
    remove,
    settle,
    sendNow: send,
  }
}

export type SetEditor = ReturnType<typeof useSetEditor>
