<script setup lang="ts">
/** One's score in the form that the teacher chose, and the teacher's closing words. */
import { computed } from 'vue'
import type { Mine } from '@/api/types'
import { t } from './words'

const props = defineProps<{ mine: Mine }>()
const shows = computed(() => (props.mine.scored ? (props.mine.closing?.score ?? 'none') : 'none'))
const right = computed(() => Math.round(props.mine.right * 100) / 100)
const percent = computed(() => Math.round((100 * props.mine.right) / Math.max(1, props.mine.scored)))
</script>

<template>
  <p v-if="mine.closing?.words" class="mt-3 text-lg wrap-anywhere whitespace-pre-line" dir="auto">
    {{ mine.closing.words }}
  </p>
  <dl v-if="shows !== 'none' || mine.place" class="mt-6 space-y-4">
    <div v-if="shows !== 'none'">
      <dt class="text-slate">{{ t('right_answers') }}</dt>
      <dd v-if="shows !== 'percent'" class="figure text-3xl">
        {{ t('count_of', { count: right, of: mine.scored }) }}
      </dd>
      <dd v-if="shows !== 'marks'" class="figure text-3xl">{{ t('score_percent', { percent }) }}</dd>
    </div>
    <div v-if="mine.place">
      <dt class="text-slate">{{ t('your_place') }}</dt>
      <dd class="figure text-3xl">{{ t('count_of', { count: mine.place, of: mine.people }) }}</dd>
    </div>
  </dl>
</template>
