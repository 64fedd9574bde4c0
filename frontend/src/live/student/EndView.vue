<script setup lang="ts">
import { ordinal, score } from '@/composables/format'
import type { Mine, StudentView } from '@/api/types'

defineProps<{ view: StudentView; mine: Mine | null }>()
</script>

<template>
  <div class="pt-8" role="status">
    <h1 class="text-3xl">That was it. Thank you!</h1>
    <p class="mt-3 text-lg wrap-anywhere">{{ view.title }} is over.</p>
    <dl v-if="mine && mine.scored" class="mt-6 space-y-4">
      <div>
        <dt class="text-slate">Right answers</dt>
        <dd class="figure text-3xl">{{ score(mine.right) }} of {{ mine.scored }}</dd>
      </div>
      <div v-if="mine.place">
        <dt class="text-slate">Your place</dt>
        <dd class="figure text-3xl">{{ ordinal(mine.place) }} of {{ mine.people }}</dd>
      </div>
    </dl>
  </div>
</template>
