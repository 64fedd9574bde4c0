<script setup lang="ts">
defineProps<{ height?: number }>()
</script>

<template>
  <svg :height="height ?? 26" viewBox="0 0 20 34" aria-hidden="true">
    <path d="M10 0v3" class="stroke-current" stroke-width="1.6" />
    <path d="M2 11 10 2.4 18 11Z" fill="currentColor" />
    <path d="M2 10.4h16V12H2z" fill="currentColor" />
    <path d="M4.4 13h11.2v12.6H4.4z" class="fill-lamp" />
    <path d="M2 26.2h16v1.6H2zM4 28h12l1.4 5.6H2.6z" fill="currentColor" />
  </svg>
</template>
