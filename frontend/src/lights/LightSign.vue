<script setup lang="ts">
/** Somebody's own light. Without `told` it stands beside what says whose it is, and is not told to a screen reader. */
import { computed } from 'vue'
import { drawnOf } from './forms'
import { lightInWords } from './named'

const props = defineProps<{ light: string; told?: boolean }>()
const drawn = computed(() => drawnOf(props.light))
</script>

<template>
  <svg
    viewBox="0 0 40 64"
    fill="none"
    stroke="currentColor"
    stroke-width="1.8"
    stroke-linejoin="round"
    stroke-linecap="round"
    :role="told ? 'img' : undefined"
    :aria-label="told ? lightInWords(light) : undefined"
    :aria-hidden="!told"
  >
    <path :d="drawn.glass" class="fill-lamp" fill-opacity="0.28" stroke="none" />
    <path :d="drawn.lines" />
    <path :d="drawn.thin" stroke-width="1.1" />
    <path :d="drawn.solid" fill="currentColor" stroke="none" />
    <path :d="drawn.lit" class="fill-lamp" fill-rule="evenodd" stroke-width="1.1" />
  </svg>
</template>
