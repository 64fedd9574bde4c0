<script setup lang="ts">
import type { Mine } from '@/api/types'
import { t } from './words'

defineProps<{ mine: Mine | null }>()
</script>

<template>
  <div class="pt-8" role="status">
    <template v-if="mine?.place">
      <h1 class="text-5xl">{{ t('place', { place: mine.place }) }}</h1>
      <p class="mt-2 text-xl">{{ t('place_among', { people: mine.people, n: mine.points ?? 0 }) }}</p>
    </template>
    <template v-else>
      <h1 class="text-3xl">{{ t('standings') }}</h1>
      <p class="mt-2 text-lg">{{ t('on_big_screen') }}</p>
    </template>
  </div>
</template>
