/** What asks a student who they are, for each way that a session may know them. A name is what most are asked for; the
 * rest is loaded where it is wanted. */
import { defineAsyncComponent, type Component } from 'vue'
import AskName from './AskName.vue'
import type { Asks } from './who'

export const asking: Record<Asks, Component> = {
  nickname: AskName,
  nobody: defineAsyncComponent(() => import('./AskNobody.vue')),
  made_up: defineAsyncComponent(() => import('./AskMade.vue')),
  list: defineAsyncComponent(() => import('./AskList.vue')),
  phrase: defineAsyncComponent(() => import('./AskPhrase.vue')),
  crew: defineAsyncComponent(() => import('./AskCrew.vue')),
  record_id: defineAsyncComponent(() => import('./AskRecordId.vue')),
}
export type { Who } from './who'
