<script setup lang="ts">
/** The phone's frame: who, where, the time as a thin strip, one thing in the middle, one button below. */
import OwnLook from './OwnLook.vue'

defineProps<{
  left: string
  right?: string
  /** Share of the time left; null draws no strip. */
  share?: number | null
  /** Several play at it, as at a large one in the room. */
  wide?: boolean
}>()
</script>

<template>
  <div
    class="mx-auto grid min-h-dvh grid-cols-[minmax(0,1fr)] grid-rows-[auto_1fr_auto] bg-fog"
    :class="wide ? 'max-w-6xl' : 'max-w-xl'"
  >
    <header class="on-dark sticky top-0 z-10 bg-hull text-foam">
      <div class="flex min-h-10 items-center justify-between gap-4 px-4 text-[15px]">
        <span class="truncate">{{ left }}</span>
        <span class="flex shrink-0 items-center gap-2">{{ right }}<OwnLook /></span>
      </div>
      <div class="h-1.5 bg-rule" aria-hidden="true">
        <div
          v-if="share !== null && share !== undefined"
          class="h-full bg-lamp transition-[width] duration-200 ease-linear"
          :style="{ width: `${share * 100}%` }"
        />
      </div>
    </header>
    <main class="px-4 pt-5 pb-6" :class="wide && 'lg:[zoom:1.5]'"><slot /></main>
    <footer
      v-if="$slots.foot"
      class="sticky bottom-0 border-t border-rule bg-sheet px-4 pt-3 pb-[max(0.9rem,env(safe-area-inset-bottom))]"
    >
      <slot name="foot" />
    </footer>
  </div>
</template>
