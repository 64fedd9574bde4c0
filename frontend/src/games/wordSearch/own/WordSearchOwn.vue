<script setup lang="ts">
/** The letters, and below them the clues: a word is marked by its first and its last letter. */
import { computed, ref, watch } from 'vue'
import type { GameMove, OwnBoardOf, PublicItem, PublicItemOf } from '@/api/types'
import { textOf } from '@/composables/text'
import { foundOf } from '../../shared/pairs/said'
import type { BoardMoment } from '../../gameViews'
import { language } from '@/words'
import { t } from '../words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{
  board: OwnBoardOf<'word_search'>
  at: BoardMoment
  question?: PublicItem
  disabled?: boolean
}>()
const emit = defineEmits<{ move: [move: GameMove] }>()

const item = computed(() => props.question as PublicItemOf<'match'> | undefined)
const own = computed(() => props.board.boards.find((one) => one.question === item.value?.id))
const side = computed(() => own.value?.side ?? 1)
const html = computed(
  () => new Map([...(item.value?.left ?? []), ...(item.value?.right ?? [])].map((one) => [one.id, one.html])),
)
const inWords = computed(() => new Set(own.value?.found.flatMap((one) => one.cells)))
const rows = computed(() =>
  Array.from({ length: side.value }, (_, row) =>
    Array.from({ length: side.value }, (_, column) => {
      const cell = row * side.value + column
      const letter = own.value?.letters[cell] ?? ''
      const said = t('letter_at', { letter, row: row + 1, column: column + 1 })
      return { cell, letter, said, found: inWords.value.has(cell) }
    }),
  ),
)
const rings = computed(() =>
  (own.value?.found ?? []).map(({ pair, cells }) => {
    const at = (cell: number): { x: number; y: number } => ({
      x: (cell % side.value) + 0.5,
      y: Math.floor(cell / side.value) + 0.5,
    })
    return { key: pair.left, from: at(cells[0]!), to: at(cells.at(-1)!) }
  }),
)

/** The first letter that was touched, and the one that the keyboard stands on. */
const start = ref<number | null>(null)
const here = ref(0)
const told = ref('')
let tried: number[] = []
watch(own, (now, before) => {
  if (now?.question !== before?.question) start.value = null
  if (!now || !before || now.question !== before.question) return
  const letters = tried.map((cell) => now.letters[cell]).join('')
  if (now.found.length > before.found.length) told.value = t('it_is', { word: letters })
  else if (now.missed > before.missed) told.value = t('no_word', { letters })
})

/** The cells from one to the other, where they lie on a line. */
function between(from: number, to: number): number[] {
  const down = Math.floor(to / side.value) - Math.floor(from / side.value)
  const over = (to % side.value) - (from % side.value)
  const steps = Math.max(Math.abs(down), Math.abs(over))
  if (!steps || (down && over && Math.abs(down) !== Math.abs(over))) return []
  return Array.from({ length: steps + 1 }, (_, step) => from + ((to - from) / steps) * step)
}

function touch(cell: number): void {
  here.value = cell
  if (start.value === null) {
    start.value = cell
    told.value = t('from_here', { letter: own.value!.letters[cell]! })
    return
  }
  const first = start.value
  start.value = null
  told.value = ''
  if (first === cell) return
  tried = between(first, cell)
  if (!tried.length) told.value = t('no_line')
  else emit('move', { move: 'mark_letters', question: item.value!.id, start: first, end: cell })
}

const buttons = ref<HTMLElement | null>(null)
/** In a grid that is read from right to left the arrow to the left goes on. */
const STEPS = computed<Record<string, [number, number]>>(() => {
  const on = own.value?.to_the_left ? -1 : 1
  return { ArrowRight: [0, on], ArrowLeft: [0, -on], ArrowDown: [1, 0], ArrowUp: [-1, 0] }
})
function step(event: KeyboardEvent): void {
  const by = STEPS.value[event.key]
  if (!by) return
  event.preventDefault()
  const row = Math.floor(here.value / side.value) + by[0]
  const column = (here.value % side.value) + by[1]
  if (row < 0 || column < 0 || row >= side.value || column >= side.value) return
  here.value = row * side.value + column
  buttons.value?.querySelector<HTMLElement>(`[data-cell='${here.value}']`)?.focus()
}
</script>

<template>
  <p v-if="at === 'after' || at === 'between'" class="pt-6 text-3xl font-bold" role="status">
    {{ t('n_found', { n: board.right }) }}
  </p>
  <div v-else-if="at === 'during' && own" :lang="language">
    <p class="text-[15px] text-slate" dir="auto">{{ foundOf(own.found.length, own.pairs) }}</p>
    <p class="mb-1 min-h-7 text-[15px] wrap-anywhere" dir="auto" role="status">{{ told }}</p>
    <div class="relative mx-auto w-full max-w-[34rem]" :dir="own.to_the_left ? 'rtl' : 'ltr'">
      <svg
        :viewBox="`0 0 ${side} ${side}`"
        class="pointer-events-none absolute inset-0 h-full w-full"
        :class="own.to_the_left && '-scale-x-100'"
        aria-hidden="true"
      >
        <g v-for="ring in rings" :key="ring.key" stroke-linecap="round">
          <path
            :d="`M${ring.from.x} ${ring.from.y}L${ring.to.x} ${ring.to.y}`"
            class="stroke-lamp-ink"
            stroke-width="0.86"
          />
          <path
            :d="`M${ring.from.x} ${ring.from.y}L${ring.to.x} ${ring.to.y}`"
            class="stroke-lamp-wash"
            stroke-width="0.76"
          />
        </g>
      </svg>
      <div ref="buttons" role="grid" :aria-label="t('grid')" class="relative" @keydown="step">
        <div v-for="(row, index) in rows" :key="index" role="row" class="flex">
          <div v-for="one in row" :key="one.cell" role="gridcell" class="min-w-0 flex-1">
            <button
              type="button"
              class="flex aspect-square w-full items-center justify-center rounded-sm border text-[clamp(13px,4vw,20px)] leading-none"
              :class="[
                start === one.cell ? 'border-2 border-tide bg-tide-wash font-bold' : 'border-transparent',
                one.found && 'font-bold',
              ]"
              :aria-label="one.said"
              :aria-pressed="start === one.cell"
              :tabindex="one.cell === here ? 0 : -1"
              :data-cell="one.cell"
              :disabled="disabled"
              @click="touch(one.cell)"
            >
              {{ one.letter }}
            </button>
          </div>
        </div>
      </div>
    </div>
    <template v-if="own.clues.length">
      <p class="mt-3 font-bold" dir="auto">{{ t('clues') }}</p>
      <ul class="mt-1 space-y-1.5">
        <li v-for="clue in own.clues" :key="clue.part" class="flex gap-2 leading-snug">
          <span
            class="prose min-w-0 wrap-anywhere"
            :lang="item?.language || undefined"
            dir="auto"
            v-html="html.get(clue.part)"
          />
          <span class="shrink-0 text-slate">({{ clue.letters }})</span>
        </li>
      </ul>
    </template>
    <template v-if="own.found.length">
      <p class="mt-3 font-bold" dir="auto">{{ t('found') }}</p>
      <ul class="mt-1 space-y-1.5">
        <li
          v-for="{ pair } in [...own.found].reverse()"
          :key="pair.left"
          class="rounded border border-lamp bg-lamp-wash px-2.5 py-1 leading-snug wrap-anywhere"
          :lang="item?.language || undefined"
          dir="auto"
        >
          {{ textOf(html.get(pair.left) ?? '') }} · {{ textOf(html.get(pair.right) ?? '') }}
        </li>
      </ul>
    </template>
  </div>
</template>
