<script setup lang="ts">
/** What a page with nothing on it says first. */
defineProps<{ title: string }>()
</script>

<template>
  <div class="rounded border border-dashed border-edge px-6 py-12 text-center">
    <h2 class="mb-2 text-xl">{{ title }}</h2>
    <div class="mx-auto max-w-prose text-slate"><slot /></div>
  </div>
</template>
