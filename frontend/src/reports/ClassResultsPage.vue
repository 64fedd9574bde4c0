<script setup lang="ts">
/** A class over all the sessions that were run with it. */
import { useQuery } from '@tanstack/vue-query'
import { useTitle } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { ClassResults } from '@/api/types'
import EmptyNote from '@/ui/EmptyNote.vue'
import AskedAgainList from './AskedAgainList.vue'
import ClassPractice from './ClassPractice.vue'
import ClassStudents from './ClassStudents.vue'
import OverTimeChart from './OverTimeChart.vue'
import GradeBooks from './GradeBooks.vue'
import ClassTopics from './ClassTopics.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const id = Number(useRoute().params.id)
const { data: found, error } = useQuery({
  queryKey: ['sessions', 'class-results', id],
  queryFn: () => data(api.GET('/api/sessions/of-class/{class_id}', { params: { path: { class_id: id } } })),
})
const detail = computed(() => found.value as ClassResults | undefined)
useTitle(
  computed(() => common('page_title', { title: t('over_time', { name: detail.value?.name ?? t('class') }) })),
)
</script>

<template>
  <div class="mx-auto max-w-[90rem] px-6 py-6">
    <p v-if="error" role="alert" class="text-lg">{{ sentenceOf(error) }}</p>
    <p v-else-if="!detail" class="text-slate">{{ t('fetching_the_results') }}</p>
    <template v-else>
      <div class="mb-5 flex flex-wrap items-baseline gap-x-5">
        <h1 class="text-3xl wrap-anywhere">{{ t('over_time', { name: detail.name }) }}</h1>
        <span class="text-slate">{{ common('n_sessions', { n: detail.results.sessions.length }) }}</span>
        <RouterLink :to="`/classes/${id}`" class="font-bold text-tide hover:underline">{{
          t('the_class')
        }}</RouterLink>
        <GradeBooks v-if="detail.results.sessions.length" class="ms-auto" :class-id="id" />
      </div>
      <EmptyNote v-if="!detail.results.sessions.length" :title="t('nothing_to_read_yet')">
        {{ t('run_a_set_with_this_class') }}
      </EmptyNote>
      <div v-else class="space-y-5">
        <OverTimeChart :results="detail.results" whole="Everything" />
        <ClassTopics v-if="detail.results.topics.length" :results="detail.results" />
        <ClassPractice :class-id="id" :students="detail.students" />
        <ClassStudents v-if="detail.students.length" :detail="detail" />
        <AskedAgainList :again="detail.results.asked_again" />
      </div>
    </template>
  </div>
</template>
