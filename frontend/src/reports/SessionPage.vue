<script setup lang="ts">
/** A session's results: figures, what to teach again, everyone by every question. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import { counted, dayAndTime } from '@/composables/format'
import type { SessionReport } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import EmptyNote from '@/ui/EmptyNote.vue'
import { button } from '@/ui/recipes'
import HardestList from './HardestList.vue'
import SessionFigures from './SessionFigures.vue'
import SessionHappened from './SessionHappened.vue'
import SessionGrid from './SessionGrid.vue'
import SessionTitle from './SessionTitle.vue'
import { provideCorrections } from './useCorrections'

type Counting = SessionReport['report']['counting']

const id = Number(useRoute().params.id)
const counting = ref<Counting>('since_joined')
const { data: session, error } = useQuery({
  queryKey: ['report', id, counting],
  queryFn: () =>
    data(
      api.GET('/api/sessions/{session_id}/report', {
        params: { path: { session_id: id }, query: { counting: counting.value } },
      }),
    ),
  placeholderData: keepPreviousData,
})
const { busy, command } = provideCorrections(id)
useTitle(computed(() => `${session.value?.report.title ?? 'Session'} · Tall Lantern`))

const when = computed(() => {
  const { created_at: from, ended_at: to } = session.value ?? {}
  if (!from) return ''
  if (!to) return `${dayAndTime(from)} · still running`
  const minutes = Math.max(1, Math.round((Date.parse(to) - Date.parse(from)) / 60_000))
  return `${dayAndTime(from)} · ${minutes} min`
})

const otherwise = computed(() => {
  const count = session.value?.report.marked_otherwise ?? 0
  return `${counted(count, 'answer')} would be marked otherwise now.`
})

function turnCounting(): void {
  counting.value = counting.value === 'everything' ? 'since_joined' : 'everything'
}
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!session" class="text-slate">Fetching the results…</p>
    <template v-else>
      <div class="mb-5 flex flex-wrap items-center gap-3">
        <SessionTitle :id="id" :title="session.report.title" />
        <span class="grow pt-2 text-slate">{{ when }}</span>
        <RouterLink v-if="!session.ended_at" :to="`/desk/${id}`" :class="button('main')"
          >To the desk</RouterLink
        >
        <a :href="`/api/sessions/${id}/workbook.xlsx?counting=${counting}`" :class="button('plain')" download
          >Workbook (xlsx)</a
        >
        <a :href="`/api/sessions/${id}/answers.csv`" :class="button('plain')" download>All answers (CSV)</a>
      </div>
      <EmptyNote
        v-if="!session.report.took_part || !session.report.questions.length"
        title="Nothing to read yet"
      >
        {{
          session.report.took_part
            ? 'No question was asked in this session.'
            : 'Nobody took part in this session.'
        }}
      </EmptyNote>
      <template v-else>
        <p
          v-if="session.report.marked_otherwise"
          class="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2 rounded border border-lamp-ink bg-lamp-wash px-4 py-2.5 text-lamp-ink"
        >
          <span class="min-w-0 grow basis-96">
            This session keeps the marks of the rules it was run with.
            {{ otherwise }}
          </span>
          <UiButton look="plain" size="small" :disabled="busy" @click="command({ do: 'mark_anew' })"
            >Mark anew</UiButton
          >
        </p>
        <p
          v-if="session.set_aside.length"
          class="mb-4 rounded border border-lamp-ink bg-lamp-wash px-4 py-2.5 text-lamp-ink"
        >
          {{ counted(session.set_aside.length, 'event') }} of this session could be read no more and
          {{ session.set_aside.length === 1 ? 'was' : 'were' }} set aside; “What happened” says which.
          Everything else is as it was.
        </p>
        <SessionFigures :report="session.report" />
        <p class="mt-2 flex flex-wrap gap-x-3 text-[15px] text-slate">
          <span>{{ session.report.counted.sentence }}</span>
          <button type="button" class="font-bold text-tide hover:underline" @click="turnCounting">
            {{
              counting === 'everything'
                ? 'Count only what was asked since one joined'
                : 'Count everything asked'
            }}
          </button>
        </p>
        <div
          class="mt-4.5 grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(22rem,37%)_minmax(0,1fr)]"
        >
          <HardestList :report="session.report" :hardest="session.hardest" />
          <SessionGrid
            :report="session.report"
            :hardest="session.hardest"
            @erase="command({ do: 'erase', seat: $event })"
          />
        </div>
      </template>
      <SessionHappened :session="id" :set-aside="session.set_aside" />
    </template>
  </div>
</template>
