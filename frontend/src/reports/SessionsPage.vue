<script setup lang="ts">
/** All that was run, the newest first. */
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api } from '@/api/http'
import { createOrders } from '@/api/live'
import { sentenceOf } from '@/api/refusal'
import type { GameName, SessionRow } from '@/api/types'
import { dayAndTime, monthOf } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import { viewsOf } from '@/games/registry'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import SessionFilters from './SessionFilters.vue'
import SessionListRow from './SessionListRow.vue'
import { useSessionChanges } from './useSessionChanges'
import { ALL, useSessions, type Wanted } from './useSessions'

const router = useRouter()
const { show } = useToasts()
const wanted = ref<Wanted>({ ...ALL })
const settled = refDebounced(wanted, 200)
const { sessions, choices, kept, error, isPending, hasNextPage, isFetchingNextPage, fetchNextPage } =
  useSessions(settled)
const { change, archive, remove } = useSessionChanges()

const months = computed(() => {
  const found = new Map<string, SessionRow[]>()
  for (const row of sessions.value) {
    const month = monthOf(row.created_at)
    found.set(month, [...(found.get(month) ?? []), row])
  }
  return [...found]
})
const isAll = computed(() => {
  const { search, of_class, of_set, since, until, archived } = wanted.value
  return !(search || of_class || of_set || since || until || archived)
})
const keptAbout = (row: SessionRow): string => {
  const game = row.game ? viewsOf(row.game as GameName).label : ''
  return [game, row.class_name, `since ${dayAndTime(row.created_at)}`].filter(Boolean).join(' · ')
}
/** One that was ended too early goes on, where it was. */
const order = createOrders()
const asking = ref<SessionRow | null>(null)
async function openAgain(session: number): Promise<void> {
  asking.value = null
  try {
    const params = { path: { session_id: session } }
    const body = order({ do: 'open_again' })
    await api.POST('/api/live/sessions/{session_id}/commands', { params, body })
    await router.push(`/desk/${session}`)
  } catch (failure) {
    show(sentenceOf(failure))
  }
}
</script>

<template>
  <div class="mx-auto max-w-6xl px-6 py-7">
    <h1 class="mb-5 text-3xl">{{ wanted.archived ? 'Archived sessions' : 'Sessions' }}</h1>
    <SessionFilters
      v-if="sessions.length || !isAll || choices?.archived"
      v-model="wanted"
      :choices="choices"
    />
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="isPending" class="text-slate">Fetching your sessions…</p>
    <EmptyNote v-else-if="!sessions.length && !isAll" title="Nothing found">
      {{
        wanted.archived ? 'Nothing is archived.' : 'No session is like that. Try fewer letters, or show all.'
      }}
    </EmptyNote>
    <EmptyNote v-else-if="!sessions.length" title="No session yet">
      Run one of <RouterLink to="/sets" class="font-bold text-tide underline">your sets</RouterLink> with a
      class, and its results stand here.
    </EmptyNote>
    <template v-else>
      <section v-if="kept?.length && isAll" aria-labelledby="kept" class="mb-6 border-s-4 border-lamp ps-4">
        <h2 id="kept" class="text-xl">Kept for another day</h2>
        <ul class="mt-1">
          <li v-for="row in kept" :key="row.id" class="flex flex-wrap items-baseline gap-x-4 py-1.5">
            <RouterLink :to="`/desk/${row.id}`" class="font-bold text-tide underline wrap-anywhere"
              >Go on with “{{ row.title || 'Untitled set' }}”</RouterLink
            >
            <span class="text-[15px] text-slate">{{ keptAbout(row) }}</span>
          </li>
        </ul>
      </section>
      <table class="w-full border-collapse">
        <thead>
          <tr class="border-b border-rule text-left text-sm text-slate">
            <th scope="col" class="px-4 py-2 font-normal">Title</th>
            <th scope="col" class="px-3 py-2 font-normal">When</th>
            <th scope="col" class="px-3 py-2 text-right font-normal max-sm:hidden">Took part</th>
            <th scope="col" class="px-3 py-2 text-right font-normal max-sm:hidden">Right on average</th>
            <th scope="col" class="px-3 py-2 font-normal"><span class="sr-only">Open</span></th>
          </tr>
        </thead>
        <tbody v-for="[month, rows] in months" :key="month">
          <tr v-if="months.length > 1">
            <th scope="rowgroup" colspan="5" class="px-4 pt-4 pb-1 text-left text-[15px]">{{ month }}</th>
          </tr>
          <SessionListRow
            v-for="row in rows"
            :key="row.id"
            :row="row"
            @rename="change(row, { title: $event })"
            @open-again="asking = row"
            @archive="archive(row, $event)"
            @remove="remove(row)"
          />
        </tbody>
      </table>
      <UiButton v-if="hasNextPage" class="mt-4" :disabled="isFetchingNextPage" @click="fetchNextPage()"
        >Show older sessions</UiButton
      >
      <UiDialog
        :open="!!asking"
        :title="`Open “${asking?.title || 'Untitled set'}” again?`"
        @close="asking = null"
      >
        <p>It goes on where it was, with the same people and their answers.</p>
        <p class="mt-2 text-slate">
          Questions whose right answers have been told stay closed. It may get another code.
        </p>
        <div class="mt-5 flex gap-3">
          <UiButton look="main" @click="openAgain(asking!.id)">Open it again</UiButton>
          <UiButton @click="asking = null">Leave it</UiButton>
        </div>
      </UiDialog>
    </template>
  </div>
</template>
