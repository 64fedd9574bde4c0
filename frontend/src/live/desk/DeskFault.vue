<script setup lang="ts">
/** A session that stands at an event: which one, and going on without it. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import { timeOfDay } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import { t } from './words'

const props = defineProps<{ session: number; sentence: string }>()
const params = { path: { session_id: props.session } }
const { data: fault, error } = useQuery({
  queryKey: ['fault', props.session],
  queryFn: () => data(api.GET('/api/live/sessions/{session_id}/fault', { params })),
})
const failure = ref('')
const what = computed(() => {
  const event = fault.value?.event
  if (!event) return ''
  const kind = event.what.replaceAll('_', ' ') || t('nothing_that_can_be_read')
  const told = { seq: event.seq, kind, when: timeOfDay(event.at) }
  return event.by ? t('event_by', { ...told, by: event.by }) : t('event_at', told)
})

async function goOn(): Promise<void> {
  try {
    const body = { seq: fault.value!.event.seq }
    await api.POST('/api/live/sessions/{session_id}/fault', { params, body })
    location.reload()
  } catch (problem) {
    failure.value = sentenceOf(problem)
  }
}
</script>

<template>
  <h1 class="mb-3 text-3xl">{{ t('this_session_stands_still') }}</h1>
  <p>{{ sentence }}</p>
  <template v-if="fault">
    <p class="mt-3">{{ what }}</p>
    <p v-if="fault.others" class="mt-1">{{ t('later_events_would_go_with_it', { n: fault.others }) }}</p>
    <p class="mt-3 text-[15px] text-slate">
      {{ t('going_on_without_it_loses_nothing') }}
    </p>
    <UiButton look="main" size="large" class="mt-5" @click="goOn">{{ t('go_on_without_it') }}</UiButton>
  </template>
  <p v-if="error || failure" role="alert" class="mt-3 text-wrong">{{ failure || sentenceOf(error) }}</p>
</template>
