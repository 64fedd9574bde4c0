<script setup lang="ts">
/** A lantern at a lock, as long as it was not spent. */
defineProps<{ lit: boolean }>()
</script>

<template>
  <svg viewBox="0 0 14 20" class="h-6" :class="lit ? 'text-lamp-ink' : 'text-slate'" aria-hidden="true">
    <path d="M2 7L7 2L12 7M7 0v2" fill="none" stroke="currentColor" stroke-width="1.6" />
    <rect
      x="2.5"
      y="7"
      width="9"
      height="11"
      rx="1"
      :class="lit ? 'fill-lamp' : 'fill-none'"
      stroke="currentColor"
      stroke-width="1.4"
      :stroke-dasharray="lit ? undefined : '2 2'"
    />
  </svg>
</template>
