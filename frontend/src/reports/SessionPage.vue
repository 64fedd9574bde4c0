<script setup lang="ts">
/** A session's results: figures, what to teach again, everyone by every question. */
import { useQuery } from '@tanstack/vue-query'
import { useTitle } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import { dayAndTime } from '@/composables/format'
import EmptyNote from '@/ui/EmptyNote.vue'
import { button } from '@/ui/recipes'
import HardestList from './HardestList.vue'
import SessionFigures from './SessionFigures.vue'
import SessionGrid from './SessionGrid.vue'
import SessionTitle from './SessionTitle.vue'

const id = Number(useRoute().params.id)
const { data: session, error } = useQuery({
  queryKey: ['report', id],
  queryFn: () => data(api.GET('/api/sessions/{session_id}/report', { params: { path: { session_id: id } } })),
})
useTitle(computed(() => `${session.value?.report.title ?? 'Session'} · Tall Lantern`))

const when = computed(() => {
  const { created_at: from, ended_at: to } = session.value ?? {}
  if (!from) return ''
  if (!to) return `${dayAndTime(from)} · still running`
  const minutes = Math.max(1, Math.round((Date.parse(to) - Date.parse(from)) / 60_000))
  return `${dayAndTime(from)} · ${minutes} min`
})
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
        <a :href="`/api/sessions/${id}/workbook.xlsx`" :class="button('plain')" download>Workbook (xlsx)</a>
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
        <SessionFigures :report="session.report" />
        <div
          class="mt-4.5 grid grid-cols-[minmax(0,1fr)] items-start gap-5 lg:grid-cols-[minmax(22rem,37%)_minmax(0,1fr)]"
        >
          <HardestList :report="session.report" :hardest="session.hardest" />
          <SessionGrid :report="session.report" :hardest="session.hardest" />
        </div>
      </template>
    </template>
  </div>
</template>
