<script setup lang="ts">
/** How far scores can be relied on: the figure, and behind it what it means. */
import { computed } from 'vue'
import type { Reliability } from '@/api/types'
import { fixed, score } from '@/composables/format'
import { t } from './words'
import { told } from '@/told'

const props = defineProps<{ reliability: Reliability }>()
const NAMES = { alpha: t('cronbachs_alpha'), kr20: 'KR-20' }

const figure = computed(() => {
  const { alpha, low, high, name } = props.reliability
  if (alpha === null) return t('reliability_cannot_be_said_scores_do')
  const range =
    low === null || high === null ? '' : t('between_and', { low: fixed(low, 2), high: fixed(high, 2) })
  return t('reliability', { name: NAMES[name], alpha: fixed(alpha, 2), range })
})
const error = computed(() => {
  const error = props.reliability.error
  return error === null ? '' : t('standard_error_of_measurement_two', { error: score(error) })
})
</script>

<template>
  <details class="text-[15px] text-slate">
    <summary>
      {{ figure }}
      <span v-if="reliability.warning" class="text-lamp-ink">{{ told(reliability.warning) }}</span>
    </summary>
    <p v-if="reliability.meaning" class="mt-1">{{ told(reliability.meaning) }}</p>
    <p v-if="error" class="mt-1">{{ error }}</p>
  </details>
</template>
