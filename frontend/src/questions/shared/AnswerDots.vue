<script setup lang="ts">
/** A dot for each answer; the count stands beside them in figures. */
defineProps<{
  count: number
  lit?: boolean
  /** For where many stand in one of the lines. */
  small?: boolean
}>()
const MOST = 400
</script>

<template>
  <span class="flex min-w-[4em] flex-wrap gap-[0.18em]" aria-hidden="true">
    <span
      v-for="n in Math.min(count, MOST)"
      :key="n"
      class="rounded-full border"
      :class="[lit ? 'border-ink bg-lamp' : 'border-soft bg-bar', small ? 'size-[0.42em]' : 'size-[0.62em]']"
    />
  </span>
</template>
