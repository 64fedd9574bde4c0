<script setup lang="ts">
/** The first ones, beside a board. */
import AlikeToo from '../shared/AlikeToo.vue'
import type { ScreenView } from '@/api/types'
import LightSign from '@/lights/LightSign.vue'

defineProps<{ view: ScreenView }>()
</script>

<template>
  <div v-if="view.standings.length" class="self-start">
    <ol class="space-y-[0.7vh] text-[max(18px,0.85em)]">
      <li
        v-for="(row, index) in view.standings"
        :key="row.name || index"
        class="flex items-center gap-[0.6em]"
      >
        <span class="figure w-[1.4em] text-end text-soft">{{ row.place }}</span>
        <LightSign v-if="row.light" :light="row.light" class="h-[1.8em] shrink-0" />
        <span class="min-w-0 grow truncate">{{ row.name }}</span>
        <span class="figure">{{ row.points }}</span>
      </li>
    </ol>
    <p class="mt-[1.2vh] text-[max(18px,0.7em)] text-soft"><AlikeToo :view="view" /></p>
  </div>
</template>
