<script setup lang="ts">
/** While the session is paused, or closed until another day. */
import { t } from './words'

defineProps<{ forToday: boolean }>()
</script>

<template>
  <div class="pt-8" role="status">
    <h1 class="text-3xl">{{ t(forToday ? 'today_title' : 'paused_title') }}</h1>
    <p class="mt-3 text-lg">{{ t(forToday ? 'today' : 'paused') }}</p>
  </div>
</template>
