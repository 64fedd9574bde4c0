<script setup lang="ts">
import type { Mine, StudentView } from '@/api/types'
import { t } from './words'

defineProps<{ view: StudentView; mine: Mine | null }>()
</script>

<template>
  <div class="pt-8" role="status">
    <h1 class="text-3xl">{{ t('over_thanks') }}</h1>
    <p class="mt-3 text-lg wrap-anywhere">{{ t('is_over', { title: view.title }) }}</p>
    <dl v-if="mine && mine.scored" class="mt-6 space-y-4">
      <div>
        <dt class="text-slate">{{ t('right_answers') }}</dt>
        <dd class="figure text-3xl">
          {{ t('count_of', { count: Math.round(mine.right * 100) / 100, of: mine.scored }) }}
        </dd>
      </div>
      <div v-if="mine.place">
        <dt class="text-slate">{{ t('your_place') }}</dt>
        <dd class="figure text-3xl">{{ t('count_of', { count: mine.place, of: mine.people }) }}</dd>
      </div>
    </dl>
  </div>
</template>
