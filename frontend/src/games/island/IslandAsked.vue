<script setup lang="ts">
/** What was rolled for the question that is on, and by which team. */
import type { BoardOf } from '@/api/types'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { rolledSaid } from './said'

defineProps<{ board: BoardOf<'island'> }>()
</script>

<template>
  <p v-if="board.turn && board.rolled" class="mb-[0.45em] flex items-center gap-x-[0.6em]" role="status">
    <TeamFlag :number="board.turn" class="size-[1.1em]" />
    <b>{{ rolledSaid(board.turn, board.rolled) }}</b>
  </p>
</template>
