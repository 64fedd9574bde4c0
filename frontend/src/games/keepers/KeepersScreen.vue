<script setup lang="ts">
/** The lights of all keepers along the shore at night: the longer one shines on the water, the more oil was earned. */
import { computed } from 'vue'
import type { BoardOf, ScreenView } from '@/api/types'
import type { BoardMoment } from '../gameViews'
import PlacesBeside from '../screens/PlacesBeside.vue'
import { t } from './words'

const props = defineProps<{ board: BoardOf<'keepers'>; at: BoardMoment; view: ScreenView }>()
const WIDTH = 640
const HEIGHT = 420
const SHORE = 110

const lights = computed(() => {
  const all = props.board.lights
  const most = Math.max(props.board.target ?? 1, ...all)
  const gap = WIDTH / (all.length + 1)
  return all.map((earned, index) => {
    // From the middle outwards, so that the brightest are in the bay.
    const side = index % 2 ? 1 : -1
    const x = WIDTH / 2 + side * Math.ceil(index / 2) * gap * 0.98
    const y = SHORE + 14 * Math.sin(x / 70) + 6 * Math.sin(x / 23)
    return { x, y, size: Math.max(1.5, Math.min(7, gap / 3)), long: (earned / most) * (HEIGHT - SHORE - 40) }
  })
})
const hills = computed(() => {
  const points = Array.from({ length: 65 }, (_, index) => {
    const x = index * 10
    return `${x} ${(SHORE + 14 * Math.sin(x / 70) + 6 * Math.sin(x / 23)).toFixed(1)}`
  })
  const tops = Array.from({ length: 65 }, (_, index) => {
    const x = WIDTH - index * 10
    return `${x} ${(34 + 16 * Math.sin(x / 95 + 1) + 9 * Math.sin(x / 37)).toFixed(1)}`
  })
  return `M${points.join('L')}L${tops.join('L')}Z`
})
</script>

<template>
  <div class="grid min-h-0 grow gap-[2vw]" :class="view.standings.length ? 'grid-cols-[1fr_1.7fr]' : ''">
    <PlacesBeside :view="view" />
    <div class="flex min-h-0 flex-col">
      <svg
        :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
        class="min-h-0 w-full grow"
        preserveAspectRatio="xMidYMid meet"
        role="img"
        :aria-label="t('lights', { n: board.lights.length })"
      >
        <path :d="hills" class="fill-bar" />
        <g v-for="(light, index) in lights" :key="index" class="fill-light-bar">
          <rect
            :x="light.x - light.size * 0.45"
            :y="light.y + light.size"
            :width="light.size * 0.9"
            :height="light.long"
            rx="1"
            fill-opacity="0.5"
          />
          <circle :cx="light.x" :cy="light.y" :r="light.size * 1.8" fill-opacity="0.18" />
          <circle :cx="light.x" :cy="light.y" :r="light.size" />
        </g>
      </svg>
      <p class="pt-[1vh] text-[max(18px,0.7em)] text-soft">
        {{ t('all_answers', { n: board.answers }) }}
      </p>
    </div>
  </div>
</template>
