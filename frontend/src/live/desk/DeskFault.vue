<script setup lang="ts">
/** A session that stands at an event: which one, and going on without it. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/api/refusal'
import { counted, timeOfDay } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'

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
  const kind = event.what.replaceAll('_', ' ') || 'nothing that can be read'
  return `Event ${event.seq}: “${kind}”${event.by && ` by ${event.by}`}, at ${timeOfDay(event.at)}.`
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
  <h1 class="mb-3 text-3xl">This session stands still</h1>
  <p>{{ sentence }}</p>
  <template v-if="fault">
    <p class="mt-3">{{ what }}</p>
    <p v-if="fault.others" class="mt-1">{{ counted(fault.others, 'later event') }} would go with it.</p>
    <p class="mt-3 text-[15px] text-slate">
      Going on without it loses nothing else. The event is kept, and the report says that it was set aside.
    </p>
    <UiButton look="main" size="large" class="mt-5" @click="goOn">Go on without it</UiButton>
  </template>
  <p v-if="error || failure" role="alert" class="mt-3 text-wrong">{{ failure || sentenceOf(error) }}</p>
</template>
