<script setup lang="ts">
/** A lock, shut or with its bow swung open; `lit` is how much of it shines, 0 to 1. */
const props = defineProps<{ open: boolean; lit: number }>()
const BODY = { top: 13, height: 15 }
</script>

<template>
  <svg viewBox="0 0 28 30" aria-hidden="true">
    <path
      :d="props.open ? 'M8 13V8a6 6 0 0 1 11 -3' : 'M8 13V9a6 6 0 0 1 12 0v4'"
      fill="none"
      stroke="currentColor"
      stroke-width="2.4"
      stroke-linecap="round"
    />
    <rect
      v-if="lit > 0"
      x="4"
      :y="BODY.top + BODY.height * (1 - lit)"
      width="20"
      :height="BODY.height * lit"
      class="fill-light-bar"
    />
    <rect
      x="4"
      :y="BODY.top"
      width="20"
      :height="BODY.height"
      rx="2"
      fill="none"
      stroke="currentColor"
      stroke-width="1.8"
    />
    <path d="M10.7 13v15M17.3 13v15" stroke="currentColor" stroke-width="1.2" />
  </svg>
</template>
