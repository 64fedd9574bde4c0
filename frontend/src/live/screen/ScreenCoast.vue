<script setup lang="ts">
/** What stands behind everything in some looks: banks of fog, a headland at dusk, the sea in a gale. */
import type { Look } from './bigScreen'

defineProps<{ look: Look }>()
</script>

<template>
  <svg
    v-if="['fog', 'dusk', 'gale'].includes(look)"
    viewBox="0 0 1600 400"
    preserveAspectRatio="none"
    class="pointer-events-none fixed inset-x-0 bottom-0 -z-10 h-[38vh] w-full"
    aria-hidden="true"
  >
    <template v-if="look === 'fog'">
      <path d="M0 70H900q40 0 40 34t-40 34H0z" class="far" />
      <path d="M1600 170H520q-40 0-40 38t40 38h1080z" class="near" />
      <path d="M0 290H1250q44 0 44 40v70H0z" class="far" />
    </template>
    <template v-else-if="look === 'dusk'">
      <path d="M0 250 180 214 330 226 520 150 700 176 880 232 1600 262V400H0z" class="far" />
      <path d="M1600 180 1480 196 1400 168 1330 240 1180 300 0 318V400H1600z" class="near" />
    </template>
    <template v-else>
      <path d="M0 230q100-64 200 0t200 0 200 0 200 0 200 0 200 0 200 0 200 0V400H0z" class="far" />
      <path d="M-90 300q120-70 240 0t240 0 240 0 240 0 240 0 240 0 240 0 240 0V400H0z" class="near" />
    </template>
  </svg>
</template>

<style scoped>
.far {
  fill: var(--far);
}
.near {
  fill: var(--near);
}
</style>
