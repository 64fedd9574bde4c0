<script setup lang="ts">
import { computed } from 'vue'
import type { ScreenView } from '@/api/types'

const props = defineProps<{ view: ScreenView }>()
const most = computed(() => Math.max(1, ...props.view.standings.map((row) => row.points)))
const ended = computed(() => props.view.phase === 'ended')
</script>

<template>
  <div>
    <p class="mb-[1.2vh] text-[max(18px,0.7em)] text-soft">{{ view.title }}</p>
    <h1 class="text-[1.8em]">{{ ended ? 'That was it. Thank you!' : 'Standings' }}</h1>
    <ol v-if="view.standings.length" class="mt-[3vh] space-y-[0.9vh]">
      <li
        v-for="(row, index) in view.standings"
        :key="row.name || index"
        class="flex items-center gap-[0.8em] text-[0.9em]"
      >
        <span class="figure w-[1.6em] text-right text-soft">{{ row.place }}</span>
        <span v-if="view.named" class="w-[32%] truncate">{{ row.name }}</span>
        <span class="h-[1.1em] grow">
          <span
            class="block h-full transition-[width] duration-200"
            :class="row.place === 1 ? 'bg-light-bar' : 'bg-bar'"
            :style="{ width: `${(row.points / most) * 100}%` }"
          />
        </span>
        <span class="figure w-[3em] text-right">{{ row.points }}</span>
      </li>
    </ol>
    <p v-if="ended && !view.standings.length" class="mt-[2vh] text-soft">You can close your page.</p>
    <p v-if="!ended && view.people > view.standings.length" class="mt-[2vh] text-[max(18px,0.7em)] text-soft">
      The first {{ view.standings.length }} of {{ view.people }}. Everyone sees their own place on their
      device.
    </p>
  </div>
</template>
