<script setup lang="ts">
/** Of every board a line of lanterns over the harbour: as many are lit as the room has found of it. */
import { computed } from 'vue'
import type { BoardOf, ScreenView } from '@/api/types'
import type { BoardMoment } from '../gameViews'
import PlacesBeside from './PlacesBeside.vue'
import { boardSaid, finishedSaid } from '../shared/pairs/said'

const props = defineProps<{
  board: BoardOf<'two_halves' | 'shutters' | 'sort_the_catch' | 'word_search'>
  at: BoardMoment
  view: ScreenView
}>()
const WIDTH = 640
const SAG = 26
const ROW = 112
const LAMP = { width: 26, height: 34 }

const lines = computed(() =>
  props.board.boards.map((board, index) => {
    const share = board.found / Math.max(1, board.pairs * props.board.players)
    const gap = WIDTH / (board.pairs + 1)
    const top = index * ROW + 18
    return {
      ...board,
      number: index + 1,
      top,
      lamps: Array.from({ length: board.pairs }, (_, at) => {
        const x = gap * (at + 1)
        return {
          x,
          y: top + 4 * SAG * (x / WIDTH) * (1 - x / WIDTH),
          lit: Math.max(0, Math.min(1, share * board.pairs - at)),
        }
      }),
    }
  }),
)
const said = computed(() =>
  lines.value.map((line) =>
    boardSaid(line.number, line.found, line.pairs * props.board.players, line.finished),
  ),
)
</script>

<template>
  <div class="grid min-h-0 grow gap-[2vw]" :class="view.standings.length ? 'grid-cols-[1fr_1.7fr]' : ''">
    <PlacesBeside :rows="view.standings" />
    <svg
      :viewBox="`0 0 ${WIDTH} ${Math.max(2, lines.length) * ROW}`"
      class="min-h-0 w-full grow self-stretch"
      preserveAspectRatio="xMidYMin meet"
      aria-hidden="true"
    >
      <g v-for="line in lines" :key="line.question">
        <path
          :d="`M0 ${line.top}Q${WIDTH / 2} ${line.top + 2 * SAG} ${WIDTH} ${line.top}`"
          class="fill-none stroke-soft"
          stroke-width="1.5"
        />
        <g v-for="lamp in line.lamps" :key="lamp.x">
          <path :d="`M${lamp.x} ${lamp.y}v5`" class="stroke-soft" stroke-width="1.5" />
          <path
            :d="`M${lamp.x - LAMP.width / 2} ${lamp.y + 11}l${LAMP.width / 2} -6l${LAMP.width / 2} 6z`"
            class="fill-soft"
          />
          <rect
            :x="lamp.x - LAMP.width / 2 + 2"
            :y="lamp.y + 11"
            :width="LAMP.width - 4"
            :height="LAMP.height"
            class="fill-strip stroke-soft"
            stroke-width="1.5"
          />
          <rect
            v-if="lamp.lit > 0"
            :x="lamp.x - LAMP.width / 2 + 3"
            :y="lamp.y + 12 + (LAMP.height - 2) * (1 - lamp.lit)"
            :width="LAMP.width - 6"
            :height="(LAMP.height - 2) * lamp.lit"
            class="fill-light-bar"
          />
        </g>
        <text :x="0" :y="line.top + 82" font-size="17" class="fill-front">
          {{ finishedSaid(line.finished, board.players) }}
        </text>
      </g>
    </svg>
    <ul class="sr-only">
      <li v-for="line in said" :key="line">{{ line }}</li>
    </ul>
  </div>
</template>
