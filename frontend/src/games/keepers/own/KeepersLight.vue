<script setup lang="ts">
/** A keeper's light: the larger the lens, the wider; the more right ones in a row, the taller its flame. */
import { computed } from 'vue'

const props = defineProps<{ lens: number; flame: number; wicks: number }>()
const width = computed(() => 14 + props.lens * 5)
const tall = computed(() => 4 + props.flame * 5)
</script>

<template>
  <svg viewBox="0 0 64 72" class="h-18 w-16 shrink-0" aria-hidden="true">
    <path d="M20 14L32 3l12 11z" class="fill-ink" />
    <rect
      :x="32 - width / 2"
      y="15"
      :width="width"
      height="36"
      rx="5"
      class="fill-sheet stroke-ink"
      stroke-width="2"
    />
    <path
      v-if="flame"
      :d="`M32 ${49 - tall}q${4 + flame} ${tall * 0.6} 0 ${tall}q-${4 + flame} -${tall * 0.4} 0 -${tall}`"
      class="fill-lamp"
    />
    <path v-else d="M32 49v-6" class="stroke-slate" stroke-width="2" />
    <path d="M16 52h32l3 14H13z" class="fill-ink" />
    <path
      v-for="wick in wicks"
      :key="wick"
      :d="`M${22 + wick * 7} 56v7`"
      class="stroke-sheet"
      stroke-width="3"
      stroke-linecap="round"
    />
  </svg>
</template>
