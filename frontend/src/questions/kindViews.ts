/** What a kind of question brings to the front end. */
import type { Component } from 'vue'
import type {
  StudentAnswer,
  StudentAnswerOf,
  Item,
  ItemOf,
  Key,
  KeyOf,
  Kind,
  PublicItem,
  PublicItemOf,
  Tally,
  TallyOf,
} from '@/api/types'

interface Views<I, P, A, T, K> {
  /** Whether students answer it. */
  isAsked: boolean
  /** Its own views show the question's picture: nobody else has to. */
  showsPicture?: boolean
  /** Props: item, answer, disabled. Emits: update (the answer, or null while it is incomplete). */
  player: () => Promise<Component>
  /** Props: item, tally, answerKey, mine, and `form` where the kind has a choice of them (`forms` in the core). */
  result: () => Promise<Component>
  /** What sort of question it is, as "choose one". */
  sort: (item: P | I) => string
  /** Groups of texts that were counted as one. */
  merged?: (tally: T) => { text: string; merged: readonly string[] }[]
  /** The question without these parts, for whom it shall be plainer. */
  without?: (item: P, ids: readonly string[]) => P
  /** The words on the button that sends, as "Send B". */
  sendLabel: (item: P, answer: A | null) => string
  /** The result in words, for screen readers. */
  inWords: (item: P, tally: T | null, key: K | null) => string
}

export type KindViews = Views<Item, PublicItem, StudentAnswer, Tally, Key>

/** One kind's views, written with that kind's own types and used through the general ones. */
export function defineKind<N extends Kind>(
  views: Views<ItemOf<N>, PublicItemOf<N>, StudentAnswerOf<N>, TallyOf<N>, KeyOf<N>>,
): KindViews {
  return views as unknown as KindViews
}
