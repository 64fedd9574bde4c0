<script setup lang="ts">
/** The lantern: its light stands as high as the time that is left, its foot carries a count. */
import { computed } from 'vue'

const props = defineProps<{
  /** Share of the time left, 0..1. */
  share: number
  /** Whether it is lit at all. */
  lit: boolean
  /** What stands on the foot, as "19/27". */
  count: string
}>()

const PANES = 12
const TOP = 67
const HEIGHT = 34.5

const panes = computed(() =>
  Array.from({ length: PANES }, (_, index) => {
    const floor = (PANES - 1 - index) / PANES
    const light = props.lit ? Math.max(0, Math.min(1, (props.share - floor) * PANES)) : 0
    return { y: TOP + index * HEIGHT + 1.5, light }
  }),
)
const INNER = HEIGHT - 3
</script>

<template>
  <svg viewBox="0 0 92 560" preserveAspectRatio="xMidYMid meet" aria-hidden="true" class="text-front">
    <path d="M46 5v18" stroke="currentColor" stroke-width="3" />
    <path d="M13 63 46 20 79 63Z" fill="currentColor" />
    <path d="M13 62h66v5H13z" fill="currentColor" />
    <g v-for="pane in panes" :key="pane.y">
      <rect x="18.4" :y="pane.y" width="55.2" :height="INNER" class="fill-strip stroke-line" />
      <rect
        v-if="pane.light > 0"
        x="18.4"
        :y="pane.y + INNER * (1 - pane.light)"
        width="55.2"
        :height="INNER * pane.light"
        class="lamp"
      />
    </g>
    <path d="M13 482h66v5H13zM18.4 487h55.2l7.4 66H11z" fill="currentColor" />
    <text
      x="46"
      y="527"
      text-anchor="middle"
      class="figure fill-ground"
      :font-size="count.length > 7 ? 11 : count.length > 5 ? 14 : count.length > 4 ? 18 : 22"
    >
      {{ count }}
    </text>
  </svg>
</template>

<style scoped>
.lamp {
  fill: var(--lamp);
  transition:
    height 0.2s linear,
    y 0.2s linear;
}
</style>
