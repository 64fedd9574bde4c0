<script setup lang="ts">
/** Numbers as dots on a line; what counts as right lies in the light, a box marks the middle half. */
import { computed } from 'vue'
import { placeDots, plainNumber, roundNumber } from './numbers'
import { language } from '@/words'
import { t } from './words'

const props = defineProps<{
  values: readonly { value: number; count: number }[]
  span: { low: number; high: number } | null
  /** The ends of the line, where they are fixed; else the line holds all values. */
  scale?: { low: number; high: number }
  quartiles?: readonly number[] | null
  mine?: number | null
}>()

const WIDTH = 640
const BASE = 150
const line = computed(() => placeDots(props.values, props.span, props.scale))
const highest = computed(() => Math.max(1, ...line.value.dots.map((dot) => dot.count)))
const step = computed(() => Math.min(20, (BASE - 20) / highest.value))
const n = computed(() => props.values.reduce((sum, row) => sum + row.count, 0))
const band = computed(() => {
  if (!props.span) return null
  const from = line.value.place(props.span.low) * WIDTH - 7
  return { x: from, width: line.value.place(props.span.high) * WIDTH + 7 - from }
})
const middle = computed(() => {
  if (!props.quartiles) return null
  const [low, median, high] = props.quartiles.map((value) => line.value.place(value) * WIDTH)
  return { low: low!, median: median!, high: high! }
})
</script>

<template>
  <svg
    :viewBox="`0 0 ${WIDTH} 195`"
    class="max-h-[36vh] w-full rounded border border-line bg-strip"
    role="img"
    :lang="language"
    :aria-label="t('numbers_between', { n, low: plainNumber(line.low), high: plainNumber(line.high) })"
  >
    <rect v-if="band" v-bind="band" y="0" :height="BASE" class="fill-lamp" />
    <path :d="`M0 ${BASE}H${WIDTH}`" class="stroke-front" stroke-width="2" />
    <g v-if="middle" class="stroke-front" fill="none" stroke-width="3">
      <path :d="`M${middle.low} ${BASE + 8}H${middle.high}M${middle.median} ${BASE}V${BASE + 16}`" />
    </g>
    <g v-for="dot in line.dots" :key="dot.value">
      <circle
        v-for="number in dot.count"
        :key="number"
        :cx="dot.at * WIDTH"
        :cy="BASE - step * (number - 0.5)"
        :r="Math.max(2, step * 0.42)"
        :class="band && dot.value >= span!.low && dot.value <= span!.high ? 'fill-ink' : 'fill-front'"
        class="stroke-strip"
      />
    </g>
    <path
      v-if="mine !== null && mine !== undefined"
      :d="`M${line.place(mine) * WIDTH} ${BASE + 2}l-8 14h16z`"
      class="fill-front"
    />
    <text
      v-for="end in line.high === line.low ? [line.low] : [line.low, line.high]"
      :key="end"
      :x="Math.min(WIDTH - 40, Math.max(40, line.place(end) * WIDTH))"
      y="187"
      text-anchor="middle"
      class="fill-front text-[24px]"
    >
      {{ roundNumber(end) }}
    </text>
  </svg>
</template>
