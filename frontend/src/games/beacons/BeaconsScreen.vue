<script setup lang="ts">
/**
 * The coast from above, under it a chain of beacons for each team, along the lines of equal depth. What the last
 * question lit is lit one after the other.
 */
import { computed } from 'vue'
import type { BoardOf } from '@/api/types'
import type { BoardMoment } from '../gameViews'
import { lineOf, pointsOf, SHORE, waterOf, WIDTH } from './coast'
import { membersSaid, teamName, teamTitle } from '../shared/teams/teams'
import { lit } from './light'
import { t } from './words'

// It needs nothing else of what the room sees.
defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: BoardOf<'beacons'>; at: BoardMoment }>()
const HEIGHT = 560
const LIT_WITHIN = 1.2

const rows = computed(() => {
  const { teams, length } = props.board
  return teams.map((team, index) => {
    const whole = lit(team.light)
    const before = lit(team.before)
    const isNew = (place: number): boolean => props.at === 'between' && place >= before
    const points = pointsOf(index, teams.length, HEIGHT, length)
    return {
      ...team,
      name: teamName(team.number),
      whole,
      water: waterOf(index, teams.length, HEIGHT),
      line: lineOf(index, teams.length, HEIGHT),
      litLine: whole ? lineOf(index, teams.length, HEIGHT, points[whole - 1]!.x) : '',
      beacons: points.map((point, place) => ({
        ...point,
        lit: place < whole,
        share: place === whole ? team.light - whole : 0,
        delay: isNew(place) ? `${0.3 + ((place - before) * LIT_WITHIN) / Math.max(1, whole - before)}s` : '',
      })),
      y: points[0]?.y ?? 0,
      size: Math.min(13, HEIGHT / teams.length / 3.6, 300 / length),
    }
  })
})
const first = computed(() =>
  rows.value
    .filter((row) => row.place <= 3 && row.light > 0)
    .sort((a, b) => a.place - b.place)
    .slice(0, 3),
)
/** The water grows darker in a few steps. */
const every = computed(() => Math.ceil(rows.value.length / 5))
const text = computed(() => Math.max(18, Math.min(24, HEIGHT / Math.max(1, rows.value.length) / 1.5)))
</script>

<template>
  <ol v-if="at === 'after'" class="mb-[1.5vh] flex flex-wrap gap-x-[2em] gap-y-[0.3em]">
    <li v-for="row in first" :key="row.number" class="flex items-baseline gap-[0.5em]">
      <span class="figure text-soft">{{ row.place }}</span>
      <b class="text-[1.2em]">{{ teamTitle(row.number) }}</b>
    </li>
  </ol>
  <svg
    :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
    class="min-h-0 w-full grow"
    preserveAspectRatio="xMidYMid meet"
    role="list"
    :aria-label="t('name')"
  >
    <path
      v-for="row in rows.filter((_, index) => index % every === 0)"
      :key="`water ${row.number}`"
      :d="row.water"
      class="fill-bar"
      fill-opacity="0.12"
    />
    <path :d="SHORE" class="fill-bar" />
    <g
      v-for="row in rows"
      :key="row.number"
      role="listitem"
      :aria-label="t('light_of', { name: row.name, lit: row.whole, length: board.length })"
    >
      <path :d="row.line" fill="none" class="stroke-soft" stroke-width="1" stroke-dasharray="2 5" />
      <path v-if="row.litLine" :d="row.litLine" fill="none" class="stroke-light-bar" stroke-width="2.5" />
      <text :x="0" :y="row.y + text * 0.35" :font-size="text" class="fill-front">{{ row.name }}</text>
      <template v-for="(beacon, place) in row.beacons" :key="place">
        <circle
          :cx="beacon.x"
          :cy="beacon.y"
          :r="row.size"
          class="fill-ground stroke-soft"
          stroke-width="1.5"
        />
        <g
          v-if="beacon.lit"
          class="fill-light-bar"
          :class="beacon.delay && 'beacon'"
          :style="{ animationDelay: beacon.delay || undefined }"
        >
          <circle :cx="beacon.x" :cy="beacon.y" :r="row.size * 2" fill-opacity="0.16" />
          <circle :cx="beacon.x" :cy="beacon.y" :r="row.size * 1.1" />
        </g>
        <circle
          v-else-if="beacon.share > 0.02"
          :cx="beacon.x"
          :cy="beacon.y"
          :r="Math.max(1.5, row.size * 0.85 * beacon.share)"
          class="fill-light-bar"
        />
      </template>
      <text
        :x="WIDTH"
        :y="row.y + text * 0.35"
        :font-size="text"
        text-anchor="end"
        class="figure fill-front"
        :class="row.arrived && 'font-bold'"
      >
        {{ at === 'before' ? membersSaid(row.members) : row.arrived ? `✓ ${row.place}` : row.whole }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.beacon {
  animation: is-lit 0.4s ease-out backwards;
}
@keyframes is-lit {
  from {
    opacity: 0;
  }
}
</style>
