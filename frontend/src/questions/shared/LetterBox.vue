<script setup lang="ts">
/** An option's letter in its small square. */
defineProps<{ letter: string; filled?: boolean }>()
</script>

<template>
  <span
    class="inline-flex size-[1.6em] shrink-0 items-center justify-center rounded border border-current text-[max(var(--least,0px),0.85em)] font-bold"
    ><span class="flex size-full items-center justify-center" :class="filled && 'bg-ink text-sheet'">{{
      letter
    }}</span></span
  >
</template>
