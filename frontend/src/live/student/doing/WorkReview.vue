<script setup lang="ts">
/** What was right in an attempt, question by question. */
import { computed } from 'vue'
import ReviewView from '../seated/own/ReviewView.vue'
import type { Mine } from '@/api/types'
import { reviewOf } from './request'
import { t } from './words'

const props = defineProps<{ token: string; attempt: number; title: string }>()
const emit = defineEmits<{ back: [] }>()
const own = computed(() => ({ review: () => reviewOf(props.token, props.attempt) }))
const NOBODY: Mine = {
  seat: 0,
  name: '',
  fog_lifted: true,
  description: '',
  ask: null,
  number: 0,
  answer: null,
  mark: null,
  forgiven: [],
  gained: null,
  bonus: null,
  for_run: null,
  points: null,
  place: null,
  people: 0,
  right: 0,
  scored: 0,
}
</script>

<template>
  <div>
    <button type="button" class="mb-2 min-h-11 font-bold text-tide" @click="emit('back')">
      {{ t('to_page') }}
    </button>
    <p class="text-slate" dir="auto">{{ title }}</p>
    <ReviewView :own="own" :mine="NOBODY" marks />
  </div>
</template>
