<script setup lang="ts">
/** Once it is handed in: by whom, the score where it may be told, and the teacher's closing words. */
import type { Mine } from '@/api/types'
import PractiseMissed from '../PractiseMissed.vue'
import ScoreView from '../ScoreView.vue'
import { t as common } from '../words'
import { t } from './words'

defineProps<{ mine: Mine; told: boolean }>()
const emit = defineEmits<{ review: [] }>()
const HEADS = {
  hand: 'handed_in',
  end: 'handed_in_desk',
  desk: 'handed_in_desk',
  time: 'handed_in_time',
  done: 'all_done',
  due: 'handed_in_time',
  target: 'all_done',
} as const
</script>

<template>
  <div class="pt-8" role="status">
    <h1 class="text-3xl">{{ t(HEADS[mine.paper?.handed_in ?? 'hand']) }}</h1>
    <ScoreView :mine="mine" />
    <button
      v-if="mine.review"
      type="button"
      class="mt-6 min-h-11 rounded border border-ink bg-sheet px-4 py-2 font-bold"
      @click="emit('review')"
    >
      {{ common('see_right') }}
    </button>
    <p v-else-if="!told" class="mt-5 text-lg text-slate">{{ t('told_later') }}</p>
    <PractiseMissed :mine="mine" />
  </div>
</template>
