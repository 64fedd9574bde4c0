<script setup lang="ts">
import { ordinal } from '@/composables/format'
import type { Mine } from '@/api/types'

defineProps<{ mine: Mine | null }>()
</script>

<template>
  <div class="pt-8" role="status">
    <template v-if="mine?.place">
      <h1 class="text-5xl">{{ ordinal(mine.place) }}</h1>
      <p class="mt-2 text-xl">of {{ mine.people }}, with {{ mine.points }} points</p>
    </template>
    <template v-else>
      <h1 class="text-3xl">Standings</h1>
      <p class="mt-2 text-lg">They are on the big screen.</p>
    </template>
  </div>
</template>
