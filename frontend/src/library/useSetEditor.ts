/** A set being written: what can be done with it, each change a step that can be undone. */
import { computed, ref, watch } from 'vue'
import { api, data } from '@/api/http'
import { newId } from '@/api/ids'
import type { About, Item, Kind, SetDocument } from '@/api/types'
import { blankItem } from '@/questions/blank'
import type { Draft } from './changes'
import { typingTag, useHistory } from './history'
import { inserted, moved, movedTogether, replaced, without } from './listEdits'
import { useSetSaving } from './useSetSaving'

export function useSetEditor(setId: number) {
  const saving = useSetSaving(setId)
  const { draft, apply } = saving
  const history = useHistory<Draft>(`lantern.undo.${setId}`)
  const madeFrom = computed<SetDocument['made_from']>(() => saving.opened.value?.made_from ?? null)
  const isPrivate = ref(false)
  watch(saving.opened, (document) => (isPrivate.value = document?.private ?? false))

  /** A change by the teacher. Changes with the same tag in quick succession are undone in one step. */
  function change(next: Draft, tag = ''): void {
    history.keep(draft.value, tag)
    apply(next)
  }

  const setItems = (items: Item[], tag = ''): void => change({ ...draft.value, items }, tag)
  const itemOf = (id: string): Item | undefined => draft.value.items.find((item) => item.id === id)
  const insert = (item: Item, after?: string): void => setItems(inserted(draft.value.items, item, after))
  const removeMany = (ids: ReadonlySet<string>): void => setItems(without(draft.value.items, ids))
  const remove = (id: string): void => removeMany(new Set([id]))

  function update(item: Item): void {
    const before = itemOf(item.id)
    if (before) setItems(replaced(draft.value.items, item), typingTag(before, item))
  }

  /** A new item behind `after` (or at the end). Returns its id. */
  function add(kind: Kind, after?: string): string {
    const item = blankItem(kind, newId())
    insert(item, after)
    return item.id
  }

  function duplicate(id: string): string {
    const copy = { ...itemOf(id)!, id: newId() }
    insert(copy, id)
    return copy.id
  }

  function move(id: string, offset: number): void {
    const items = moved(draft.value.items, id, offset)
    if (items) setItems(items)
  }

  /** The same change to each of these items, as one step. */
  function updateMany(ids: ReadonlySet<string>, edit: (item: Item) => Item): void {
    setItems(draft.value.items.map((item) => (ids.has(item.id) ? edit(item) : item)))
  }

  /** The item as another kind; the server knows what can be kept. */
  async function turn(id: string, into: Kind): Promise<void> {
    const item = itemOf(id)
    if (!item || item.kind === into) return
    try {
      const language = draft.value.about.language ?? ''
      const turned = await data(api.POST('/api/sets/turn', { body: { item, into, language } }))
      setItems(replaced(draft.value.items, { ...blankItem(into, id), ...turned.item } as Item))
    } catch (error) {
      saving.refuse(error)
    }
  }

  /** Kept at once, and not among what can be undone: it is no part of the set's content. */
  async function setPrivacy(on: boolean): Promise<void> {
    isPrivate.value = on
    const params = { path: { set_id: setId } }
    await data(api.PUT('/api/sets/{set_id}/privacy', { params, body: { private: on } })).catch((error) => {
      isPrivate.value = !on
      saving.refuse(error)
    })
  }

  /** What was brought back or added on the server, as one step to undo. */
  async function reload(): Promise<void> {
    await saving.send()
    history.keep(draft.value, '')
    await saving.fetchAgain()
  }

  function step(walk: typeof history.undo): void {
    const target = walk(draft.value)
    if (target) apply(target)
  }

  /** Settle a conflict: keep what is on this page, or take what is on the server. */
  function settle(id: string, keep: 'mine' | 'theirs'): void {
    const conflict = saving.settled(id)
    if (!conflict) return
    if (keep === 'mine') return apply({ ...draft.value })
    const { theirs } = conflict
    if (!theirs) return remove(id)
    if (itemOf(id)) update(theirs)
    else insert(theirs)
  }

  return {
    draft,
    problems: saving.problems,
    conflicts: saving.conflicts,
    state: saving.state,
    refusal: saving.refusal,
    loadError: saving.loadError,
    ready: computed(() => saving.opened.value !== null),
    isEmpty: computed(() => draft.value.items.length === 0),
    madeFrom,
    isPrivate,
    setPrivacy,
    setTitle: (title: string) => change({ ...draft.value, title }, 'title'),
    setAbout: (about: About) => change({ ...draft.value, about }, 'about'),
    /** The whole set as it was written elsewhere, as one step to undo. */
    replace: (next: Draft) => change(next),
    append: (added: readonly Item[]) => setItems([...draft.value.items, ...added]),
    add,
    update,
    updateMany,
    duplicate,
    move,
    moveMany: (ids: ReadonlySet<string>, offset: -1 | 1) =>
      setItems(movedTogether(draft.value.items, ids, offset)),
    remove,
    removeMany,
    turn,
    settle,
    reload,
    sendNow: saving.send,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    undo: () => step(history.undo),
    redo: () => step(history.redo),
  }
}

export type SetEditor = ReturnType<typeof useSetEditor>
