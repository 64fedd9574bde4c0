<script setup lang="ts">
/** The session's course in lines, fetched when they are wanted. */
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf, told } from '@/told'
import type { SessionReport } from '@/api/types'
import { momentOf, timeOfDay } from '@/composables/format'
import { t } from './words'

const props = defineProps<{ session: number; setAside: SessionReport['set_aside'] }>()
const isOpen = ref(false)
const { data: lines, error } = useQuery({
  queryKey: ['report', props.session, 'happened'],
  queryFn: () =>
    data(api.GET('/api/sessions/{session_id}/happened', { params: { path: { session_id: props.session } } })),
  enabled: isOpen,
})
</script>

<template>
  <details
    class="mt-5 rounded border border-rule bg-sheet px-4.5 py-3.5"
    @toggle="isOpen = ($event.target as HTMLDetailsElement).open"
  >
    <summary>
      <h2 class="inline text-lg">{{ t('what_happened') }}</h2>
    </summary>
    <p v-if="error" role="alert" class="mt-2 text-wrong">{{ sentenceOf(error) }}</p>
    <p v-else-if="!lines" class="mt-2 text-slate">{{ t('fetching_the_course_of_the_session') }}</p>
    <template v-else>
      <ol class="mt-2">
        <li
          v-for="(line, index) in lines"
          :key="index"
          class="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-x-3 border-t border-rule py-1.5 sm:grid-cols-[5.5rem_minmax(0,1fr)_12rem]"
        >
          <span class="text-slate tabular-nums" :title="momentOf(line.at)">{{ timeOfDay(line.at) }}</span>
          <span class="wrap-anywhere" dir="auto">{{ told(line.what) }}</span>
          <span class="text-slate max-sm:col-start-2">{{ line.by }}</span>
        </li>
      </ol>
      <p v-for="event in setAside" :key="event.seq" class="border-t border-rule py-1.5">
        {{ t('set_aside_because_it_could', { seq: event.seq, when: momentOf(event.at) })
        }}<template v-if="event.by">{{ t('by_2', { by: event.by }) }}</template
        >.
      </p>
      <p class="border-t border-rule pt-2.5">
        <a
          :href="`/api/sessions/${session}/happened.csv`"
          class="font-bold text-tide hover:underline"
          download
          >{{ t('take_out_as_a_table_csv') }}</a
        >
      </p>
    </template>
  </details>
</template>
