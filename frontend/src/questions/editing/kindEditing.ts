/** What a kind of question brings for those who write questions. */
import type { Component } from 'vue'
import type { Item, ItemOf, Kind } from '@/api/types'

export interface TypedPart {
  part: string
  name: string
}

interface Editing<I> {
  /** The kind's name as a teacher reads it. */
  label: () => string
  /** What it asks for, in a few words. */
  hint: () => string
  /** It has no right answer, ever. */
  isOpinionOnly?: boolean
  /** What a new one starts with, where that is not what the schema says of every one. */
  starts?: () => Partial<I>
  /** Props: item. Emits: update (the changed item). Focusable lines carry `data-line`. */
  editor: () => Promise<Component>
  /** Settings of this kind alone, as chips. Props: item. Emits: update. */
  chips?: () => Promise<Component>
  /** The parts of an answer that are typed and marked, with their names: of each it may be asked whether a text would
   * count. */
  typedParts?: (item: I) => TypedPart[]
}

export type KindEditing = Editing<Item>

/** One kind's editing, written with that kind's own type and used through the general one. */
export function defineEditing<N extends Kind>(editing: Editing<ItemOf<N>>): KindEditing {
  return editing as unknown as KindEditing
}
