<script setup lang="ts">
/** One question of a session: its result in its own form, what it tells, and who answered what. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { api, data as read } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { QuestionResult } from '@/api/types'
import { counted, percent } from '@/composables/format'
import { viewsOf } from '@/questions/registry'
import AsyncView from '@/questions/shared/AsyncView.vue'
import PromptText from '@/questions/shared/PromptText.vue'
import QuestionMedia from '@/questions/shared/QuestionMedia.vue'
import CorrectionPreview from './CorrectionPreview.vue'
import PageSteps from './PageSteps.vue'
import QuestionAnswers from './QuestionAnswers.vue'
import QuestionCounts from './QuestionCounts.vue'
import ThirdsTable from './ThirdsTable.vue'
import { provideCorrections } from './useCorrections'
import { paper, useReportView } from './useReportView'

const route = useRoute()
const session = Number(route.params.id)
const item = String(route.params.item)
const view = useReportView(session)
const { data, error } = useQuery({
  queryKey: ['report', session, 'question', item, computed(() => view.value.counting)],
  queryFn: () =>
    read(
      api.GET('/api/sessions/{session_id}/questions/{item}', {
        params: { path: { session_id: session, item }, query: { counting: view.value.counting } },
      }),
    ),
  placeholderData: keepPreviousData,
})
provideCorrections(session)
/** As the server's shape says it: a query forgets how long its lists are. */
const result = computed(() => data.value as QuestionResult | undefined)
const page = computed(() => result.value?.page)
const showsCounts = ref(false)
const paperPage = computed(
  () =>
    `/api/sessions/${session}/questions/${item}/page.pdf?paper=${paper.value}&counting=${view.value.counting}`,
)
useTitle(computed(() => `Question ${page.value?.report.number ?? ''} · Tall Lantern`))

const at = (id: string | null | undefined): string | null =>
  id ? `/sessions/${session}/questions/${id}` : null
const figures = computed(() => {
  const report = page.value?.report
  if (!report) return []
  const { share, discrimination, median_took: took } = report
  return [
    { value: share === null ? null : percent(share), label: 'difficulty (right on average)' },
    { value: discrimination === null ? null : discrimination.toFixed(2), label: 'discrimination' },
    { value: `${report.answered} of ${report.answered + report.omitted}`, label: 'answered' },
    { value: took === null ? null : `${Math.round(took / 1000)} s`, label: 'middle time' },
  ].filter((figure) => figure.value !== null)
})
/** What the discrimination says, in words. */
const telling = computed(() => {
  const found = page.value?.report.discrimination
  if (found === null || found === undefined) return ''
  if (found >= 0.3) return 'Who did well in the rest did well here: it tells students apart.'
  if (found >= 0.1) return 'It tells students apart a little.'
  if (found > -0.1) return 'It hardly tells students apart.'
  return 'Who did well in the rest did worse here: look at its key.'
})
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!result || !page" class="text-slate">Fetching the question…</p>
    <template v-else>
      <PageSteps :session="session" :before="at(page.before)" :after="at(page.after)" what="Question" />
      <h1 class="mt-3 text-[15px] font-normal text-slate">
        Question {{ page.report.number }} of “{{ result.title || 'Untitled set' }}” ·
        {{ viewsOf(result.shown.item).sort(result.shown.item)
        }}<template v-if="page.report.topics.length"> · {{ page.report.topics.join(', ') }}</template> ·
        <a :href="paperPage" class="font-bold text-tide hover:underline" download>on paper (PDF)</a>
      </h1>
      <div
        class="mt-2 grid grid-cols-[minmax(0,1fr)] items-start gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(22rem,38%)]"
      >
        <div class="space-y-5">
          <section class="rounded border border-rule bg-sheet px-5 py-4">
            <PromptText :item="result.shown.item" class="text-xl" />
            <QuestionMedia
              :shown="result.shown"
              :is-open="false"
              :now="0"
              without-fog
              class="mt-3 max-w-md [--picture-height:26vh]"
              sizes="30rem"
            />
            <AsyncView
              :kind="result.shown.item.kind"
              part="result"
              :item="result.shown.item"
              :tally="result.shown.tally ?? null"
              :form="result.shown.form"
              :answer-key="result.shown.key ?? null"
              class="mt-4"
            />
          </section>
          <dl class="flex flex-wrap rounded border border-rule bg-sheet">
            <div
              v-for="figure in figures"
              :key="figure.label"
              class="flex flex-col-reverse border-r border-rule px-5 py-3"
            >
              <dt class="text-[15px] text-slate">{{ figure.label }}</dt>
              <dd class="figure text-2xl">{{ figure.value }}</dd>
            </div>
          </dl>
          <p
            v-if="page.report.takes_hand && page.report.answered"
            class="flex flex-wrap items-center gap-x-4"
          >
            <span v-if="page.report.waiting" class="text-lamp-ink"
              >{{ counted(page.report.waiting, 'answer') }} without a mark yet.</span
            >
            <RouterLink :to="`/sessions/${session}/marking`" class="font-bold text-tide hover:underline"
              >Mark by hand</RouterLink
            >
          </p>
          <p v-if="telling" class="text-[15px] text-slate">{{ telling }}</p>
          <section v-if="page.thirds" class="rounded border border-rule bg-sheet px-5 py-4">
            <ThirdsTable :thirds="page.thirds" />
          </section>
          <details
            class="rounded border border-rule bg-sheet px-5 py-3"
            :open="showsCounts || undefined"
            @toggle="showsCounts = ($event.target as HTMLDetailsElement).open"
          >
            <summary><h2 class="inline text-lg">Counts, and what can be put right</h2></summary>
            <QuestionCounts :question="page.report" class="-ml-8" />
          </details>
        </div>
        <QuestionAnswers :session="session" :page="page" />
      </div>
      <CorrectionPreview />
    </template>
  </div>
</template>
