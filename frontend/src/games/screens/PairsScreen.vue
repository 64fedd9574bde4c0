<script setup lang="ts">
/** Of every board a cord of lanterns over the harbour, or several where it has many pairs: as many are lit as the room
 * has found of it. */
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
const MOST_ON_A_CORD = 12
const APART = 54
const FEWEST = 6
const SAG = 26
const CORD = 80
const LAMP = { width: 26, height: 34 }

const cordsOf = (pairs: number) => Math.max(1, Math.ceil(pairs / MOST_ON_A_CORD))
const eachOf = (pairs: number) => Math.ceil(pairs / cordsOf(pairs))
const width = computed(
  () => APART * (Math.max(FEWEST, ...props.board.boards.map((board) => eachOf(board.pairs))) + 1),
)
const lines = computed(() =>
  props.board.boards.map((board, index) => {
    const share = board.found / Math.max(1, board.pairs * props.board.players)
    const each = eachOf(board.pairs)
    const cords = Array.from({ length: cordsOf(board.pairs) }, (_, cord) => 4 + cord * CORD)
    const lamps = Array.from({ length: board.pairs }, (_, at) => {
      const on = Math.floor(at / each)
      const x = (width.value / (Math.min(each, board.pairs - on * each) + 1)) * ((at % each) + 1)
      return {
        at,
        x,
        y: cords[on]! + 4 * SAG * (x / width.value) * (1 - x / width.value),
        lit: Math.max(0, Math.min(1, share * board.pairs - at)),
      }
    })
    return { ...board, number: index + 1, cords, lamps }
  }),
)
const columns = computed(() => (lines.value.length > 2 ? 'grid-cols-2' : ''))
const said = computed(() =>
  lines.value.map((line) =>
    boardSaid(line.number, line.found, line.pairs * props.board.players, line.finished),
  ),
)
</script>

<template>
  <div class="grid min-h-0 grow gap-[2vw]" :class="view.standings.length ? 'grid-cols-[1fr_1.7fr]' : ''">
    <PlacesBeside :view="view" />
    <div
      class="grid min-h-0 grow auto-rows-[minmax(0,max-content)] content-start gap-x-[3vw] gap-y-[2.5vh]"
      :class="columns"
      aria-hidden="true"
    >
      <div v-for="line in lines" :key="line.question" class="flex min-h-0 flex-col">
        <svg
          :viewBox="`0 0 ${width} ${line.cords.length * CORD}`"
          class="h-auto min-h-0 w-full shrink"
          preserveAspectRatio="xMinYMid meet"
        >
          <path
            v-for="cord in line.cords"
            :key="cord"
            :d="`M0 ${cord}Q${width / 2} ${cord + 2 * SAG} ${width} ${cord}`"
            class="fill-none stroke-soft"
            stroke-width="1.5"
          />
          <g v-for="lamp in line.lamps" :key="lamp.at">
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
        </svg>
        <p class="shrink-0 text-[max(18px,1.6vw)]">
          <b v-if="lines.length > 1" class="me-[0.6em]">{{ line.number }}</b>
          {{ finishedSaid(line.finished, board.players) }}
        </p>
      </div>
    </div>
    <ul class="sr-only">
      <li v-for="line in said" :key="line">{{ line }}</li>
    </ul>
  </div>
</template>
