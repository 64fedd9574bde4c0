<script setup lang="ts">
/** One's own grid: each cell leads to its word's question. */
import { computed, ref } from 'vue'
import type { GameMove, OwnBoardOf } from '@/api/types'
import type { BoardMoment } from '../../gameViews'
import { cellsOf, clueSaid, patternOf, SIDE, type CrossCell as Cell } from '../cells'
import CrossCell from './CrossCell.vue'
import { t } from '../words'

const props = defineProps<{ board: OwnBoardOf<'crossword'>; at: BoardMoment; item?: string }>()
const emit = defineEmits<{ move: [move: GameMove]; go: [item: string] }>()

const words = computed(() => props.board.words)
const cells = computed(() => cellsOf(words.value, props.board.columns, props.board.to_the_left))
const state = computed(() => new Map(words.value.map((word) => [word.question, word.state])))
const here = computed(() => words.value.find((word) => word.question === props.item))
const pattern = computed(() =>
  here.value ? patternOf(here.value, cells.value, props.board.columns, props.board.to_the_left) : [],
)
const right = computed(() => words.value.filter((word) => word.state === 'right').length)

/** The word whose button has the focus: whoever goes by keyboard sees it in the grid. */
const focused = ref('')

const isRight = (cell: Cell): boolean =>
  cell.of.some((one) => ['right', 'together'].includes(state.value.get(one) ?? ''))

/** How a cell stands: on the word that is asked, right, missed, or open. */
function look(cell: Cell): string {
  if (cell.of.includes(focused.value)) return 'fill-tide-wash stroke-tide'
  if (cell.of.includes(props.item ?? '')) return 'fill-lamp-wash stroke-ink'
  return isRight(cell) ? 'fill-lamp-pane stroke-slate' : 'fill-sheet stroke-slate'
}
/** At a crossing the word that is not on, so that pressing it again turns. */
const leadsTo = (cell: Cell): string => cell.of.find((one) => one !== props.item) ?? cell.of[0]!

function said(word: (typeof words.value)[number]): string {
  const letters = patternOf(word, cells.value, props.board.columns, props.board.to_the_left)
  const spelt = letters.map((letter) => letter || t('blank')).join(' ')
  return t(`is_${word.state}`, { clue: clueSaid(word), pattern: spelt })
}
</script>

<template>
  <p v-if="at === 'after'" class="pt-6 pb-4 text-3xl font-bold">
    {{ t('right_of', { right, words: words.length }) }}
  </p>
  <div v-if="at !== 'before'" class="mb-4">
    <svg
      :viewBox="`-1 -1 ${board.columns * SIDE + 2} ${board.rows * SIDE + 2}`"
      class="mx-auto max-h-[34dvh] w-full [direction:ltr]"
      aria-hidden="true"
    >
      <g v-for="cell in cells" :key="cell.key" @click="at === 'during' && emit('go', leadsTo(cell))">
        <rect
          :x="cell.x * SIDE"
          :y="cell.row * SIDE"
          :width="SIDE"
          :height="SIDE"
          :class="look(cell)"
          :stroke-width="cell.of.includes(item ?? '') ? 2 : 1"
        />
        <CrossCell
          :cell="cell"
          :to-the-left="board.to_the_left"
          number="fill-slate"
          :letter="isRight(cell) ? 'fill-ink font-bold' : 'fill-slate'"
        />
      </g>
    </svg>
    <!-- The same for whoever cannot see or press the grid. -->
    <ul class="sr-only" :aria-label="t('grid')">
      <li v-for="word in words" :key="word.question">
        <button
          v-if="at === 'during'"
          type="button"
          @click="emit('go', word.question)"
          @focus="focused = word.question"
          @blur="focused = ''"
        >
          {{ said(word) }}
        </button>
        <template v-else>{{ said(word) }}</template>
      </li>
    </ul>
    <p
      v-if="at === 'during' && here"
      class="mt-3 flex flex-wrap items-baseline gap-x-3"
      :dir="board.to_the_left ? 'rtl' : 'ltr'"
    >
      <b dir="auto">{{ clueSaid(here) }}</b>
      <span class="figure text-xl tracking-[0.25em]" aria-hidden="true">{{
        pattern.map((letter) => letter || '_').join('')
      }}</span>
    </p>
  </div>
</template>
