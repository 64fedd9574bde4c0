<script setup lang="ts">
/** A cell of a crossword, `SIDE` wide: its number, and its letter where that may be told. The square is drawn by whoever
 * shows it. */
import type { CrossCell } from '../cells'
import { SIDE } from '../cells'

defineProps<{ cell: CrossCell; toTheLeft: boolean; number: string; letter: string }>()
</script>

<template>
  <text
    v-if="cell.number"
    :x="cell.x * SIDE + (toTheLeft ? SIDE - 3 : 3)"
    :y="cell.row * SIDE + 11"
    font-size="11"
    :text-anchor="toTheLeft ? 'end' : 'start'"
    :class="number"
  >
    {{ cell.number }}
  </text>
  <text
    v-if="cell.letter"
    :x="(cell.x + 0.5) * SIDE"
    :y="cell.row * SIDE + 24"
    font-size="17"
    text-anchor="middle"
    :class="letter"
  >
    {{ cell.letter }}
  </text>
</template>
