<script setup lang="ts">
/**
 * The end: along a quay everybody's lamp is lit, one after the other, as high as their points. The first places are
 * called by name; nobody else is.
 */
import { computed } from 'vue'
import type { ScreenView } from '@/api/types'

const props = defineProps<{ view: ScreenView }>()
const WIDTH = 1000
const HEIGHT = 380
const QUAY = 350
const LOWEST = 26
const LIT_WITHIN = 2.4

const first = computed(() =>
  props.view.standings.filter((row) => row.place <= 3 && row.points > 0).slice(0, 3),
)
const lamps = computed(() => {
  const points = props.view.lights ?? []
  const most = Math.max(1, ...points)
  const gap = WIDTH / (points.length + 1)
  const size = Math.max(1.6, Math.min(9, gap / 3))
  // The first stand apart, so that their names have room; all others follow along the quay.
  return points.map((own, index) => ({
    x: gap * (index + 1),
    y: QUAY - LOWEST - (own / most) * (QUAY - LOWEST - 60),
    size: own ? size : size * 0.7,
    lit: own > 0,
    after: `${(LIT_WITHIN * (points.length - index)) / points.length}s`,
  }))
})
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <p class="mb-[1.2vh] text-[max(18px,0.7em)] text-soft">{{ view.title }}</p>
    <h1 class="text-[1.8em]">That was it. Thank you!</h1>
    <ol v-if="first.length && view.named" class="mt-[2.5vh] flex flex-wrap gap-x-[2em] gap-y-[0.4em]">
      <li v-for="row in first" :key="row.name" class="flex items-baseline gap-[0.5em]">
        <span class="figure text-soft">{{ row.place }}</span>
        <b class="max-w-[14em] truncate text-[1.2em]">{{ row.name }}</b>
        <span class="figure text-soft">{{ row.points }}</span>
      </li>
    </ol>
    <svg
      v-if="lamps.length"
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="mt-[1.5vh] min-h-0 w-full grow"
      preserveAspectRatio="xMidYMax meet"
      role="img"
      :aria-label="`A lamp for each of ${view.people} people, as high as what they earned.`"
    >
      <g v-for="(lamp, index) in lamps" :key="index">
        <line :x1="lamp.x" :x2="lamp.x" :y1="lamp.y" :y2="QUAY" class="stroke-line" stroke-width="1.5" />
        <circle
          :cx="lamp.x"
          :cy="lamp.y"
          :r="lamp.size"
          :class="lamp.lit ? 'lamp fill-light-bar' : 'fill-bar'"
          :style="{ animationDelay: lamp.after }"
        />
      </g>
      <path :d="`M0 ${QUAY}H${WIDTH}v10H0z`" class="fill-line" />
    </svg>
    <p v-if="!lamps.length" class="mt-[2vh] text-soft">You can close your page.</p>
    <p v-else class="pt-[1vh] text-[max(18px,0.7em)] text-soft">
      A lamp for each of you, as high as what you earned. Your own place is on your device.
    </p>
  </div>
</template>

<style scoped>
.lamp {
  animation: is-lit 0.5s ease-out backwards;
}
@keyframes is-lit {
  from {
    opacity: 0.1;
  }
}
</style>
