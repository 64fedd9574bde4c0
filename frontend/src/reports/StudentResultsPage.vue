<script setup lang="ts">
/** One student over the sessions of a class, by topic and time. */
import { useQuery } from '@tanstack/vue-query'
import { useTitle } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import type { StudentResults } from '@/api/types'
import { counted, percent } from '@/composables/format'
import EmptyNote from '@/ui/EmptyNote.vue'
import OverTimeChart from './OverTimeChart.vue'
import ClassTopics from './ClassTopics.vue'
import { points, told } from './trends'
import { namesShown } from './useReportView'

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
const name = computed(() => (namesShown.value ? detail.value?.name : '') || 'A student')
const own = computed(() => detail.value?.results.students[0])
useTitle(computed(() => `${name.value} over time · Tall Lantern`))
const figures = computed(() => {
  const one = own.value
  if (!one) return []
  return [
    { value: percent(one.share), label: `right, of ${counted(one.questions, 'question')}` },
    { value: points(one.against), label: 'against the class' },
    { value: String(one.sessions), label: one.sessions === 1 ? 'session' : 'sessions' },
  ]
})
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!detail" class="text-slate">Fetching the results…</p>
    <template v-else>
      <div class="mb-5 flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <h1 class="text-3xl wrap-anywhere" dir="auto">{{ name }}</h1>
        <RouterLink :to="`/classes/${id}/results`" class="font-bold text-tide hover:underline"
          >{{ detail.class_name }} over time</RouterLink
        >
        <label class="ms-auto flex items-center gap-1.5 text-[15px] text-slate"
          ><input v-model="namesShown" type="checkbox" class="size-4 accent-tide" />Names</label
        >
      </div>
      <EmptyNote v-if="!own" title="Nothing to read yet">
        This student took part in no session of this class that has ended.
      </EmptyNote>
      <template v-else>
        <dl class="flex flex-wrap rounded border border-rule bg-sheet">
          <div
            v-for="figure in figures"
            :key="figure.label"
            class="flex flex-col-reverse border-r border-rule px-6 py-3.5"
          >
            <dt class="text-[15px] text-slate">{{ figure.label }}</dt>
            <dd class="figure text-2xl">{{ figure.value }}</dd>
          </div>
        </dl>
        <p class="my-3 text-[15px] text-slate">
          Against the class in the same questions: {{ told(own.trend) }}. A reason to look, not a verdict.
        </p>
        <OverTimeChart class="mb-5" :results="detail.results" whole="Everything" />
        <ClassTopics v-if="detail.results.topics.length" :results="detail.results" />
      </template>
    </template>
  </div>
</template>
