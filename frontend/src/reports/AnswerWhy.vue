<script setup lang="ts">
/** Why an answer counts or does not, and one step from there: to count it. */
import { computed, ref } from 'vue'
import { api, data } from '@/api/http'
import { sentenceOf } from '@/told'
import type { QuestionReport, Verdict } from '@/api/types'
import VerdictLine from '@/questions/editing/VerdictLine.vue'
import UiButton from '@/ui/UiButton.vue'
import { useCorrections } from './useCorrections'
import { t } from './words'

const props = defineProps<{ question: QuestionReport; count: QuestionReport['counts'][number] }>()
const { session, busy, propose } = useCorrections()
const named = computed(() => `${props.count.label} ${props.count.text}`.trim())
const verdict = ref<Verdict | null>(null)
const failure = ref('')

async function toggle(): Promise<void> {
  if (verdict.value) {
    verdict.value = null
    return
  }
  try {
    const body = { item: props.question.item, text: props.count.given, part: props.count.part }
    const params = { path: { session_id: session } }
    verdict.value = await data(api.POST('/api/sessions/{session_id}/would-count', { params, body }))
    failure.value = ''
  } catch (error) {
    failure.value = sentenceOf(error)
  }
}

async function countIt(): Promise<void> {
  const { answer, part } = verdict.value!
  await propose({ do: 'count_as_right', item: props.question.item, answer: answer!, part })
  verdict.value = null
}
</script>

<template>
  <button
    type="button"
    class="min-h-6 px-1 text-sm font-bold text-tide hover:underline"
    :aria-expanded="!!verdict"
    :aria-label="t(count.right ? 'why_it_counts' : 'why_it_does_not_count', { named })"
    @click="toggle"
  >
    {{ t('why_2') }}
  </button>
  <div
    v-if="verdict || failure"
    class="flex basis-full flex-wrap items-center gap-x-4 gap-y-1 pb-1.5"
    role="status"
  >
    <VerdictLine v-if="verdict" :verdict="verdict" />
    <span v-else class="text-wrong">{{ failure }}</span>
    <UiButton v-if="verdict?.can_count" look="plain" size="small" :disabled="busy" @click="countIt">{{
      t('count_it')
    }}</UiButton>
  </div>
</template>
