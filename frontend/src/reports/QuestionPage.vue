<script setup lang="ts">
/** One question of a session: its result in its own form, what it tells, and who answered what. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { useTitle } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { api, data as read } from '@/api/http'
import { sentenceOf } from '@/told'
import type { QuestionResult } from '@/api/types'
import { duration, fixed, percent } from '@/composables/format'
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
import { t } from './words'
import { t as common } from '@/ui/words'

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
useTitle(
  computed(() =>
    common('page_title', { title: t('question_number', { number: page.value?.report.number ?? '' }) }),
  ),
)

const at = (id: string | null | undefined): string | null =>
  id ? `/sessions/${session}/questions/${id}` : null
const figures = computed(() => {
  const report = page.value?.report
  if (!report) return []
  const { share, discrimination, median_took: took } = report
  return [
    { value: share === null ? null : percent(share), label: t('difficulty_right_on_average') },
    {
      value: discrimination === null ? null : fixed(discrimination, 2),
      label: t('discrimination'),
    },
    {
      value: t('of_4', { answered: report.answered, omitted: report.answered + report.omitted }),
      label: t('answered'),
    },
    { value: took === null ? null : duration(Math.round(took / 1000)), label: t('middle_time') },
  ].filter((figure) => figure.value !== null)
})
/** What the discrimination says, in words. */
const telling = computed(() => {
  const found = page.value?.report.discrimination
  if (found === null || found === undefined) return ''
  if (found >= 0.3) return t('who_did_well_in_the_rest')
  if (found >= 0.1) return t('it_tells_students_apart_a_little')
  if (found > -0.1) return t('it_hardly_tells_students_apart')
  return t('who_did_well_in_the_rest_2')
})
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!result || !page" class="text-slate">{{ t('fetching_the_question') }}</p>
    <template v-else>
      <PageSteps :session="session" :before="at(page.before)" :after="at(page.after)" :what="t('question')" />
      <h1 class="mt-3 text-[15px] font-normal text-slate">
        {{
          t('question_of', {
            number: page.report.number,
            title: result.title || common('untitled_set'),
            sort: viewsOf(result.shown.item).sort(result.shown.item),
          })
        }}<template v-if="page.report.topics.length"> · {{ page.report.topics.join(', ') }}</template> ·
        <a :href="paperPage" class="font-bold text-tide hover:underline" download>{{ t('on_paper_pdf') }}</a>
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
              class="flex flex-col-reverse border-e border-rule px-5 py-3"
            >
              <dt class="text-[15px] text-slate">{{ figure.label }}</dt>
              <dd class="figure text-2xl">{{ figure.value }}</dd>
            </div>
          </dl>
          <p
            v-if="page.report.takes_hand && page.report.answered"
            class="flex flex-wrap items-center gap-x-4"
          >
            <span v-if="page.report.waiting" class="text-lamp-ink">{{
              t('answers_without_a_mark_yet', { n: page.report.waiting })
            }}</span>
            <RouterLink :to="`/sessions/${session}/marking`" class="font-bold text-tide hover:underline">{{
              t('mark_by_hand')
            }}</RouterLink>
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
            <summary>
              <h2 class="inline text-lg">{{ t('counts_and_what_can_be_put') }}</h2>
            </summary>
            <QuestionCounts :question="page.report" class="-ms-8" />
          </details>
        </div>
        <QuestionAnswers :session="session" :page="page" />
      </div>
      <CorrectionPreview />
    </template>
  </div>
</template>
