/** Edits of a list of items: each gives a new list, and leaves the old one as it was. */
import type { Item } from '@/api/types'

type Items = readonly Item[]

/** With `item` behind the one called `after`, or at the end. */
export function inserted(items: Items, item: Item, after?: string): Item[] {
  const at = after ? items.findIndex((one) => one.id === after) + 1 : items.length
  return [...items.slice(0, at), item, ...items.slice(at)]
}

/** With another in the place of the one that has its id. */
export const replaced = (items: Items, item: Item): Item[] =>
  items.map((one) => (one.id === item.id ? item : one))

export const without = (items: Items, ids: ReadonlySet<string>): Item[] =>
  items.filter((item) => !ids.has(item.id))

/** Moved by `offset` places; null where it would leave the list. */
export function moved(items: Items, id: string, offset: number): Item[] | null {
  const from = items.findIndex((item) => item.id === id)
  const to = from + offset
  if (from < 0 || to < 0 || to >= items.length) return null
  const list = [...items]
  list.splice(to, 0, ...list.splice(from, 1))
  return list
}

/** These moved together by one place, keeping their order among themselves. */
export function movedTogether(items: Items, ids: ReadonlySet<string>, offset: -1 | 1): Item[] {
  const list = [...items]
  const places = list.map((_, index) => index)
  for (const at of offset < 0 ? places : places.reverse()) {
    const other = list[at + offset]
    if (!ids.has(list[at]!.id) || !other || ids.has(other.id)) continue
    list[at + offset] = list[at]!
    list[at] = other
  }
  return list
}
