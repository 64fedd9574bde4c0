<script setup lang="ts">
/** How far scores can be relied on: the figure, and behind it what it means. */
import { computed } from 'vue'
import type { Reliability } from '@/api/types'
import { score } from '@/composables/format'

const props = defineProps<{ reliability: Reliability }>()
const NAMES = { alpha: 'Cronbach’s alpha', kr20: 'KR-20' }

const figure = computed(() => {
  const { alpha, low, high, name } = props.reliability
  if (alpha === null) return 'Reliability cannot be said: scores do not vary, or there is one question alone.'
  const range = low === null || high === null ? '' : `, between ${low.toFixed(2)} and ${high.toFixed(2)}`
  return `Reliability (${NAMES[name]}) ${alpha.toFixed(2)}${range}.`
})
const error = computed(() => {
  const error = props.reliability.error
  return error === null
    ? ''
    : `Standard error of measurement ${score(error)}: two of three students would score within that of what they have here, if they did it again.`
})
</script>

<template>
  <details class="text-[15px] text-slate">
    <summary>
      {{ figure }}
      <span v-if="reliability.warning" class="text-lamp-ink">{{ reliability.warning.sentence }}</span>
    </summary>
    <p v-if="reliability.meaning" class="mt-1">{{ reliability.meaning.sentence }}</p>
    <p v-if="error" class="mt-1">{{ error }}</p>
  </details>
</template>
