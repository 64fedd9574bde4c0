<script setup lang="ts">
/** The island at sea, its bays, and where every team's boat lies. */
import { computed } from 'vue'
import type { BoardOf } from '@/api/types'
import type { BoardMoment } from '../gameViews'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { teamName } from '../shared/teams/teams'
import { bayAt, berthAt, GLYPHS, HEIGHT, outline, WIDTH } from './ring'
import { legSaid } from './said'
import { t } from './words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: BoardOf<'island'>; at: BoardMoment }>()
const BOAT = 24

const size = computed(() => Math.min(12, 300 / props.board.bays))
const bays = computed(() => {
  const events = new Map(props.board.events.map((one) => [one.bay, one.event]))
  return Array.from({ length: props.board.bays }, (_, bay) => ({
    ...bayAt(bay, props.board.bays),
    glyph: events.get(bay) && GLYPHS[events.get(bay)!],
  }))
})
/** Boats in the same bay lie side by side, before it. */
const boats = computed(() =>
  props.board.boats.map((boat) => {
    const there = props.board.boats.filter((one) => one.bay === boat.bay)
    const berth = there.indexOf(boat) - (there.length - 1) / 2
    const { x, y } = berthAt(boat.bay, props.board.bays, berth * (BOAT + 3))
    return {
      ...boat,
      name: teamName(boat.number),
      place_at: `translate(${x.toFixed(1)}px, ${y.toFixed(1)}px)`,
    }
  }),
)
const rows = computed(() =>
  props.at === 'after' ? [...boats.value].sort((a, b) => a.place - b.place) : boats.value,
)
const now = computed(() => {
  if (props.at === 'after') return ''
  if (props.board.turn !== null) return t('team_rolls', { name: teamName(props.board.turn) })
  return t(props.board.boats.some((boat) => boat.bay >= props.board.bays) ? 'is_over' : 'no_more')
})
const last = computed(() =>
  props.board.last && props.at !== 'after' && props.board.made !== 'room' ? legSaid(props.board.last) : [],
)
</script>

<template>
  <div class="relative flex min-h-0 grow flex-col">
    <div class="z-10 lg:absolute lg:start-0 lg:top-0 lg:max-w-[17em]">
      <p v-for="line in last" :key="line" class="text-soft">{{ line }}</p>
      <p v-if="now" class="mb-[0.5em] flex items-center gap-[0.5em]" role="status">
        <TeamFlag v-if="board.turn" :number="board.turn" class="size-[1.1em]" />
        <b class="text-[1.15em]">{{ now }}</b>
      </p>
      <ol class="flex flex-wrap gap-x-[1.6em] text-[max(18px,0.85em)] leading-[1.4] lg:flex-col">
        <li v-for="boat in rows" :key="boat.number" class="flex items-center gap-[0.45em]">
          <span v-if="at === 'after'" class="figure w-[1em] text-soft">{{ boat.place }}</span>
          <TeamFlag :number="boat.number" class="size-[1em]" />
          <span class="figure min-w-[1.3em] text-end">{{ boat.bay }}</span>
          <span :class="at === 'after' && boat.place === 1 && 'font-bold'">{{ boat.name }}</span>
          <span v-if="boat.waits && at !== 'after'" class="text-soft">{{ t('waits') }}</span>
        </li>
      </ol>
    </div>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="min-h-0 w-full grow lg:ms-[12%] lg:w-[88%]"
      preserveAspectRatio="xMidYMid meet"
      role="img"
      :aria-label="t('name')"
    >
      <path :d="outline(0.8)" class="fill-bar" />
      <path :d="outline(0.55)" class="fill-none stroke-soft" stroke-opacity="0.35" stroke-width="1" />
      <path :d="outline(0.3)" class="fill-none stroke-soft" stroke-opacity="0.35" stroke-width="1" />
      <path :d="outline(1)" class="fill-none stroke-soft" stroke-width="1.2" stroke-dasharray="2 7" />
      <g
        v-for="(bay, index) in bays"
        :key="index"
        :transform="`translate(${bay.x.toFixed(1)} ${bay.y.toFixed(1)})`"
      >
        <circle
          :r="index ? size : size * 1.5"
          :class="index ? 'fill-ground stroke-front' : 'fill-light-bar stroke-front'"
          stroke-width="1.3"
        />
        <path
          v-if="bay.glyph"
          :d="bay.glyph"
          :transform="`scale(${(size / 11).toFixed(2)})`"
          class="fill-none stroke-front"
          stroke-width="1.6"
          stroke-linecap="round"
          stroke-linejoin="round"
        />
      </g>
      <g
        v-for="boat in boats"
        :key="boat.number"
        class="transition-transform duration-700 motion-reduce:transition-none"
        :style="{ transform: boat.place_at }"
      >
        <TeamFlag
          :number="boat.number"
          :x="-BOAT / 2"
          :y="-BOAT / 2"
          :width="BOAT"
          :height="BOAT"
          class="text-front"
        />
      </g>
    </svg>
    <ul class="sr-only">
      <li v-for="boat in boats" :key="boat.number">
        {{ t('boat_at', { name: boat.name, bay: boat.bay, bays: board.bays }) }}
      </li>
    </ul>
  </div>
</template>
