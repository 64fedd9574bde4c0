/** What has to be sent: the difference between what is on the page and what the server has. */
import type { About, Changes, Item, Saved, SetDocument } from '@/api/types'

export interface Draft {
  title: string
  about: About
  items: Item[]
}

/** What the server is known to have: the text of each item, its version, the order. */
export interface Known {
  title: string
  /** The JSON of what the set is about. */
  about: string
  order: string[]
  items: Record<string, { version: number; text: string }>
}

export function knownFrom(document: SetDocument): Known {
  const entries = document.items.map(
    ({ item, version }) => [item.id, { version, text: JSON.stringify(item) }] as const,
  )
  return {
    title: document.title,
    about: JSON.stringify(document.about),
    order: document.items.map(({ item }) => item.id),
    items: Object.fromEntries(entries),
  }
}

export function draftFrom(document: SetDocument): Draft {
  return { title: document.title, about: document.about, items: document.items.map(({ item }) => item) }
}

/** The changes to send, leaving out the items in `held` (their conflicts wait for the teacher); null for none. */
export function changesBetween(known: Known, draft: Draft, held: ReadonlySet<string>): Changes | null {
  const here = new Set(draft.items.map((item) => item.id))
  const put = draft.items
    .filter((item) => !held.has(item.id) && known.items[item.id]?.text !== JSON.stringify(item))
    .map((item) => ({ base: known.items[item.id]?.version ?? 0, item }))
  const remove = known.order
    .filter((id) => !here.has(id) && !held.has(id))
    .map((id) => ({ base: known.items[id]!.version, id }))
  const order = draft.items.map((item) => item.id)
  const orderChanged = order.join() !== known.order.filter((id) => here.has(id)).join()
  const titleChanged = draft.title.trim() !== known.title
  const aboutChanged = JSON.stringify(draft.about) !== known.about
  if (!put.length && !remove.length && !orderChanged && !titleChanged && !aboutChanged) return null
  return {
    put,
    remove,
    ...(orderChanged || put.some((one) => one.base === 0) ? { order } : {}),
    ...(titleChanged ? { title: draft.title.trim() } : {}),
    ...(aboutChanged ? { about: draft.about } : {}),
  }
}

/** What the server has after it took `changes`. */
export function knownAfter(known: Known, changes: Changes, saved: Saved): Known {
  const sent = Object.fromEntries((changes.put ?? []).map(({ item }) => [item.id, JSON.stringify(item)]))
  const conflicts = new Set(saved.conflicts.map((conflict) => conflict.id))
  const items: Known['items'] = {}
  for (const id of saved.order) {
    const text = conflicts.has(id) ? undefined : (sent[id] ?? known.items[id]?.text)
    // An item that came from elsewhere has no text here yet: the document is fetched for it.
    items[id] = { version: saved.versions[id]!, text: text ?? '' }
  }
  const about = changes.about ? JSON.stringify(changes.about) : known.about
  return { title: changes.title ?? known.title, about, order: saved.order, items }
}

/** Whether the server has something that this page has not seen. */
export function hasNews(known: Known, saved: Saved, changes: Changes): boolean {
  const sent = new Set((changes.put ?? []).map(({ item }) => item.id))
  return saved.order.some((id) => {
    const before = known.items[id]
    return !sent.has(id) && (!before || before.version !== saved.versions[id])
  })
}

/** The draft with everything from the server that was not changed here. */
export function merged(draft: Draft, known: Known, document: SetDocument): Draft {
  const mine = new Map(draft.items.map((item) => [item.id, item]))
  const changedHere = (id: string): boolean => {
    const item = mine.get(id)
    return item !== undefined && known.items[id]?.text !== JSON.stringify(item)
  }
  const removedHere = (id: string): boolean => id in known.items && !mine.has(id)
  const theirs = new Map(document.items.map(({ item }) => [item.id, item]))
  const kept = draft.items
    .filter((item) => theirs.has(item.id) || changedHere(item.id))
    .map((item) => (changedHere(item.id) ? item : theirs.get(item.id)!))
  const added = document.items
    .filter(({ item }) => !mine.has(item.id) && !removedHere(item.id))
    .map(({ item }) => item)
  const title = draft.title.trim() === known.title ? document.title : draft.title
  const about = JSON.stringify(draft.about) === known.about ? document.about : draft.about
  return { title, about, items: [...kept, ...added] }
}

/** What the server is known to have once `document` was merged into the draft: what was not changed here counts as
 * known in its newest version. */
export function adopted(known: Known, draft: Draft, document: SetDocument): Known {
  const fresh = knownFrom(document)
  const items = { ...fresh.items }
  for (const item of draft.items) {
    const before = known.items[item.id]
    if (before && before.text !== JSON.stringify(item) && items[item.id]) items[item.id] = before
  }
  return { ...fresh, items }
}
