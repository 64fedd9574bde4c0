<script setup lang="ts">
/** Which team drew the card that is on. */
import type { BoardOf } from '@/api/types'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { teamName } from '../shared/teams/teams'
import { t } from './words'

defineProps<{ board: BoardOf<'sea_chest'> }>()
</script>

<template>
  <p v-if="board.turn && board.open" class="mb-[0.45em] flex items-center gap-x-[0.6em]" role="status">
    <TeamFlag :number="board.turn" class="size-[1.1em]" />
    <b>{{ t('has_drawn', { name: teamName(board.turn) }) }}</b>
  </p>
</template>
