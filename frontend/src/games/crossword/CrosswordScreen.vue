<script setup lang="ts">
/** The grid as the room sees it: how many have each word, or (together) the letters that somebody found. */
import { computed } from 'vue'
import type { BoardOf } from '@/api/types'
import type { BoardMoment } from '../gameViews'
import { cellsOf, clueSaid, SIDE } from './cells'
import CrossCell from './own/CrossCell.vue'
import { t } from './words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: BoardOf<'crossword'>; at: BoardMoment }>()

const shares = computed(
  () =>
    new Map(props.board.words.map((word) => [word.question, word.right / Math.max(1, props.board.players)])),
)
const cells = computed(() =>
  cellsOf(props.board.words, props.board.columns, props.board.to_the_left).map((cell) => ({
    ...cell,
    lit: props.board.together
      ? cell.letter
        ? 1
        : 0
      : Math.max(...cell.of.map((question) => shares.value.get(question) ?? 0)),
  })),
)
const said = computed(() =>
  props.board.words.map((word) =>
    t('have_it', { clue: clueSaid(word), right: word.right, players: props.board.players }),
  ),
)
</script>

<template>
  <svg
    :viewBox="`-1 -1 ${board.columns * SIDE + 2} ${board.rows * SIDE + 2}`"
    class="min-h-0 w-full grow"
    preserveAspectRatio="xMidYMid meet"
    role="img"
    :aria-label="t('grid')"
  >
    <g v-for="cell in cells" :key="cell.key">
      <rect
        :x="cell.x * SIDE"
        :y="cell.row * SIDE"
        :width="SIDE"
        :height="SIDE"
        class="fill-strip stroke-soft"
        stroke-width="1"
      />
      <!-- The share of the class that has it fills it from the foot, as light stands in the lantern. -->
      <rect
        v-if="cell.lit > 0"
        :x="cell.x * SIDE + 1"
        :y="(cell.row + 1) * SIDE - 1 - (SIDE - 2) * cell.lit"
        :width="SIDE - 2"
        :height="(SIDE - 2) * cell.lit"
        class="fill-light-bar"
      />
      <CrossCell
        :cell="cell"
        :to-the-left="board.to_the_left"
        :number="cell.lit > 0.7 ? 'fill-[#11212c]' : 'fill-front'"
        letter="fill-[#11212c] font-bold"
      />
    </g>
  </svg>
  <ul class="sr-only">
    <li v-for="line in said" :key="line">{{ line }}</li>
  </ul>
</template>
