<script setup lang="ts">
import { useInfiniteQuery, useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { createOrders } from '@/api/live'
import { sentenceOf } from '@/api/refusal'
import type { GameName, SessionRow } from '@/api/types'
import { dayAndTime, percent } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import { viewsOf } from '@/games/registry'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'

const router = useRouter()
const { show } = useToasts()
const {
  data: pages,
  error,
  isPending,
  hasNextPage,
  isFetchingNextPage,
  fetchNextPage,
} = useInfiniteQuery({
  queryKey: ['sessions'],
  initialPageParam: 1,
  queryFn: ({ pageParam }) => data(api.GET('/api/sessions', { params: { query: { page: pageParam } } })),
  getNextPageParam: (last, _pages, page) => (last.more ? page + 1 : undefined),
})
const sessions = computed(() => pages.value?.pages.flatMap((page) => page.rows) ?? [])
/** Those that were closed until another day, however old. */
const { data: kept } = useQuery({
  queryKey: ['sessions', 'kept'],
  queryFn: async () => (await data(api.GET('/api/sessions', { params: { query: { kept: true } } }))).rows,
})
const gameLabel = (row: SessionRow): string => (row.game ? viewsOf(row.game as GameName).label : '')
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
const cell = 'px-3 py-3 whitespace-nowrap'
</script>

<template>
  <div class="mx-auto max-w-6xl px-6 py-7">
    <h1 class="mb-5 text-3xl">Sessions</h1>
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="isPending" class="text-slate">Fetching your sessions…</p>
    <EmptyNote v-else-if="!sessions.length" title="No session yet">
      Run one of <RouterLink to="/sets" class="font-bold text-tide underline">your sets</RouterLink> with a
      class, and its results stand here.
    </EmptyNote>
    <template v-else>
      <section v-if="kept?.length" aria-labelledby="kept" class="mb-6 border-s-4 border-lamp ps-4">
        <h2 id="kept" class="text-xl">Kept for another day</h2>
        <ul class="mt-1">
          <li v-for="row in kept" :key="row.id" class="flex flex-wrap items-baseline gap-x-4 py-1.5">
            <RouterLink :to="`/desk/${row.id}`" class="font-bold text-tide underline wrap-anywhere"
              >Go on with “{{ row.title || 'Untitled set' }}”</RouterLink
            >
            <span class="text-[15px] text-slate">{{
              [gameLabel(row), row.class_name, `since ${dayAndTime(row.created_at)}`]
                .filter(Boolean)
                .join(' · ')
            }}</span>
          </li>
        </ul>
      </section>
      <table class="w-full border-collapse">
        <thead>
          <tr class="border-b border-rule text-left text-sm text-slate">
            <th class="px-4 py-2 font-normal">Title</th>
            <th class="px-3 py-2 font-normal">When</th>
            <th class="px-3 py-2 text-right font-normal">Took part</th>
            <th class="px-3 py-2 text-right font-normal">Right on average</th>
            <th class="px-3 py-2 font-normal"><span class="sr-only">Open</span></th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="row in sessions"
            :key="row.id"
            class="border-b border-rule bg-sheet hover:bg-tide-wash/50"
          >
            <td class="px-4 py-3">
              <RouterLink
                :to="`/sessions/${row.id}`"
                class="text-lg font-bold wrap-anywhere hover:underline"
                >{{ row.title || 'Untitled set' }}</RouterLink
              >
              <span v-if="row.class_name || row.game" class="block text-[15px] text-slate">{{
                [row.class_name, gameLabel(row)].filter(Boolean).join(' · ')
              }}</span>
            </td>
            <td :class="cell" class="text-slate">{{ dayAndTime(row.created_at) }}</td>
            <td :class="cell" class="text-right tabular-nums">{{ row.took_part ?? '' }}</td>
            <td :class="cell" class="text-right tabular-nums">
              {{ row.mean_share === null ? '' : percent(row.mean_share) }}
            </td>
            <td :class="cell" class="text-right">
              <RouterLink
                v-if="!row.ended_at"
                :to="`/desk/${row.id}`"
                class="font-bold text-tide underline"
                >{{
                  row.stopped
                    ? row.stopped === 'today'
                      ? 'Closed for today: go on'
                      : 'Paused: go on'
                    : `Running: ${row.code}, to the desk`
                }}</RouterLink
              >
              <button
                v-else
                type="button"
                class="font-bold text-tide hover:underline"
                :aria-label="`Open again: ${row.title || 'Untitled set'}`"
                @click="asking = row"
              >
                Open again
              </button>
            </td>
          </tr>
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
