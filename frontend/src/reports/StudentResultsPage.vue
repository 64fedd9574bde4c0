<script setup lang="ts">
/** One student over the sessions of a class, by topic and time. */
import { useQuery } from '@tanstack/vue-query'
import { useTitle } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { StudentResults } from '@/api/types'
import { percent } from '@/composables/format'
import EmptyNote from '@/ui/EmptyNote.vue'
import OverTimeChart from './OverTimeChart.vue'
import ClassTopics from './ClassTopics.vue'
import { points, told } from './trends'
import { namesShown } from './useReportView'
import { t } from './words'
import { t as common } from '@/ui/words'

const route = useRoute()
const id = Number(route.params.id)
const person = String(route.params.student)
const { data: found, error } = useQuery({
  queryKey: ['sessions', 'class-results', id, person],
  queryFn: () =>
    data(
      api.GET('/api/sessions/of-class/{class_id}/students/{person}', {
        params: { path: { class_id: id, person } },
      }),
    ),
})
const detail = computed(() => found.value as StudentResults | undefined)
const name = computed(() => (namesShown.value ? detail.value?.name : '') || t('a_student'))
const own = computed(() => detail.value?.results.students[0])
useTitle(computed(() => common('page_title', { title: t('over_time', { name: name.value }) })))
const figures = computed(() => {
  const one = own.value
  if (!one) return []
  return [
    { value: percent(one.share), label: t('right_of_questions', { n: one.questions }) },
    { value: points(one.against), label: t('against_the_class_2') },
    { value: String(one.sessions), label: t('sessions_of', { n: one.sessions }) },
  ]
})
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!detail" class="text-slate">{{ t('fetching_the_results') }}</p>
    <template v-else>
      <div class="mb-5 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 class="text-3xl wrap-anywhere" dir="auto">{{ name }}</h1>
        <RouterLink :to="`/classes/${id}/results`" class="font-bold text-tide hover:underline">{{
          t('over_time_2', { class_name: detail.class_name })
        }}</RouterLink>
        <label class="ms-auto flex items-center gap-1.5 text-[15px] text-slate"
          ><input v-model="namesShown" type="checkbox" class="size-4 accent-tide" />{{ t('names') }}</label
        >
      </div>
      <EmptyNote v-if="!own" :title="t('nothing_to_read_yet')">
        {{ t('this_student_took_part_in_no') }}
      </EmptyNote>
      <template v-else>
        <dl class="flex flex-wrap rounded border border-rule bg-sheet">
          <div
            v-for="figure in figures"
            :key="figure.label"
            class="flex flex-col-reverse border-e border-rule px-6 py-3.5"
          >
            <dt class="text-[15px] text-slate">{{ figure.label }}</dt>
            <dd class="figure text-2xl">{{ figure.value }}</dd>
          </div>
        </dl>
        <p class="my-3 text-[15px] text-slate">
          {{ t('against_the_class_in_the_same_2', { told: told(own.trend) }) }}
        </p>
        <OverTimeChart class="mb-5" :results="detail.results" whole="Everything" />
        <ClassTopics v-if="detail.results.topics.length" :results="detail.results" />
      </template>
    </template>
  </div>
</template>
