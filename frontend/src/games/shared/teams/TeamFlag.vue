<script setup lang="ts">
/** What a team flies, so that it is told apart without a colour: fields of light on a dark cloth. */
const FIELDS: readonly string[] = [
  'M0 0H10V20H0Z', // the half at the mast
  'M0 7H20V13H0Z', // a bar
  'M0 0H20L0 20Z', // cut slantwise
  'M6 6H14V14H6Z', // a window
  'M8 0H12V8H20V12H12V20H8V12H0V8H8Z', // a cross
  'M0 0H20V5H0ZM0 15H20V20H0Z', // two edges
  'M0 0H10V10H0ZM10 10H20V20H10Z', // quarters
  'M10 2L18 10L10 18L2 10Z', // a lozenge
]
defineProps<{ number: number }>()
</script>

<template>
  <svg viewBox="0 0 20 20" class="shrink-0" aria-hidden="true">
    <rect width="20" height="20" rx="1" fill="#11212c" />
    <path :d="FIELDS[(number - 1) % FIELDS.length]" fill="#f5b52e" />
    <rect width="20" height="20" rx="1" fill="none" stroke="currentColor" stroke-width="1" />
  </svg>
</template>
