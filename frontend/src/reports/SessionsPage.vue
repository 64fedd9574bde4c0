<script setup lang="ts">
/** All that was run, the newest first. */
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { I18nT } from 'vue-i18n'
import { useRouter } from 'vue-router'
import { api } from '@/api/http'
import { createOrders } from '@/api/live'
import { sentenceOf } from '@/told'
import type { GameName, SessionRow } from '@/api/types'
import { dayAndTime, monthOf } from '@/composables/format'
import { useToasts } from '@/composables/useToasts'
import { deskOf } from '@/games/desks'
import EmptyNote from '@/ui/EmptyNote.vue'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import SessionFilters from './SessionFilters.vue'
import SessionListRow from './SessionListRow.vue'
import { useSessionChanges } from './useSessionChanges'
import { ALL, useSessions, type Wanted } from './useSessions'
import { t } from './words'
import { t as common } from '@/ui/words'

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
  const game = row.game ? deskOf(row.game as GameName).label() : ''
  return [game, row.class_name, t('since', { when: dayAndTime(row.created_at) })].filter(Boolean).join(' · ')
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
    <h1 class="mb-5 text-3xl">{{ wanted.archived ? t('archived_sessions') : t('sessions') }}</h1>
    <SessionFilters
      v-if="sessions.length || !isAll || choices?.archived"
      v-model="wanted"
      :choices="choices"
    />
    <p v-if="error" role="alert" class="text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="isPending" class="text-slate">{{ t('fetching_your_sessions') }}</p>
    <EmptyNote v-else-if="!sessions.length && !isAll" :title="t('nothing_found')">
      {{ wanted.archived ? t('nothing_is_archived') : t('no_session_is_like_that_try') }}
    </EmptyNote>
    <EmptyNote v-else-if="!sessions.length" :title="t('no_session_yet')">
      <I18nT :keypath="t.path('run_one_of')" scope="global"
        ><template #sets
          ><RouterLink to="/sets" class="font-bold text-tide underline">{{
            t('your_sets')
          }}</RouterLink></template
        ></I18nT
      >
    </EmptyNote>
    <template v-else>
      <section v-if="kept?.length && isAll" aria-labelledby="kept" class="mb-6 border-s-4 border-lamp ps-4">
        <h2 id="kept" class="text-xl">{{ t('kept_for_another_day') }}</h2>
        <ul class="mt-1">
          <li v-for="row in kept" :key="row.id" class="flex flex-wrap items-baseline gap-x-4 py-1.5">
            <RouterLink :to="`/desk/${row.id}`" class="font-bold text-tide underline wrap-anywhere">{{
              t('go_on_with', { title: row.title || common('untitled_set') })
            }}</RouterLink>
            <span class="text-[15px] text-slate">{{ keptAbout(row) }}</span>
          </li>
        </ul>
      </section>
      <table class="w-full border-collapse">
        <thead>
          <tr class="border-b border-rule text-start text-sm text-slate">
            <th scope="col" class="px-4 py-2 font-normal">{{ t('title') }}</th>
            <th scope="col" class="px-3 py-2 font-normal">{{ t('when') }}</th>
            <th scope="col" class="px-3 py-2 text-end font-normal max-sm:hidden">{{ t('took_part_2') }}</th>
            <th scope="col" class="px-3 py-2 text-end font-normal max-sm:hidden">
              {{ t('right_on_average_2') }}
            </th>
            <th scope="col" class="px-3 py-2 font-normal">
              <span class="sr-only">{{ t('open') }}</span>
            </th>
          </tr>
        </thead>
        <tbody v-for="[month, rows] in months" :key="month">
          <tr v-if="months.length > 1">
            <th scope="rowgroup" colspan="5" class="px-4 pt-4 pb-1 text-start text-[15px]">{{ month }}</th>
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
      <UiButton v-if="hasNextPage" class="mt-4" :disabled="isFetchingNextPage" @click="fetchNextPage()">{{
        t('show_older_sessions')
      }}</UiButton>
      <UiDialog
        :open="!!asking"
        :title="t('open_again_2', { title: asking?.title || common('untitled_set') })"
        @close="asking = null"
      >
        <p>{{ t('it_goes') }}</p>
        <p class="mt-2 text-slate">
          {{ t('questions_whose_right_answers_have_been') }}
        </p>
        <div class="mt-5 flex gap-3">
          <UiButton look="main" @click="openAgain(asking!.id)">{{ t('open_it_again') }}</UiButton>
          <UiButton @click="asking = null">{{ common('leave_it') }}</UiButton>
        </div>
      </UiDialog>
    </template>
  </div>
</template>
