<script setup lang="ts">
/** A player's own team: it draws, talks, and sees its pearls. */
import { computed } from 'vue'
import type { GameMove, OwnBoardOf } from '@/api/types'
import type { BoardMoment } from '../../gameViews'
import TeamBefore from '../../shared/teams/TeamBefore.vue'
import TeamFlag from '../../shared/teams/TeamFlag.vue'
import { placeSaid, teamName, teamTitle } from '../../shared/teams/teams'
import { t } from '../words'

// It needs nothing else of what is on.
defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: OwnBoardOf<'sea_chest'>; at: BoardMoment }>()
const emit = defineEmits<{ move: [move: GameMove] }>()
const team = computed(() => props.board.team)
</script>

<template>
  <TeamBefore
    v-if="at === 'before'"
    :team="team?.number ?? null"
    :choices="board.choices"
    @move="emit('move', $event)"
  />
  <p v-else-if="at === 'during' && board.turn" class="mb-4 flex items-center gap-2 text-[15px]" role="status">
    <TeamFlag :number="board.turn" class="size-4" />
    <span>{{
      board.turn === team?.number ? t('talk_now') : t('has_drawn', { name: teamName(board.turn) })
    }}</span>
  </p>
  <div v-else-if="at !== 'during'" class="pt-6">
    <p v-if="team" class="flex items-center gap-2 text-lg">
      <TeamFlag :number="team.number" class="size-5" />
      <span>{{ teamTitle(team.number) }}</span>
    </p>
    <h1 class="mt-1 text-4xl">{{ team ? t('pearls', { n: team.pearls }) : t('name') }}</h1>
    <p v-if="team" class="mt-3 text-xl">{{ placeSaid(team.place, board.teams) }}</p>
    <p v-if="at === 'between'" class="mt-1 text-lg text-slate">
      {{ board.left ? t('left', { n: board.left }) : t('empty') }}
    </p>
    <div v-if="at === 'between'" role="status" class="mt-4">
      <template v-if="board.may_draw">
        <p class="text-xl font-bold">{{ t('you_draw') }}</p>
        <button
          type="button"
          class="mt-3 min-h-16 w-full rounded border-2 border-tide bg-sheet text-2xl font-bold text-tide"
          @click="emit('move', { move: 'draw' })"
        >
          {{ t('draw') }}
        </button>
      </template>
      <p v-else-if="board.turn" class="text-lg">{{ t('team_draws', { name: teamName(board.turn) }) }}</p>
    </div>
  </div>
</template>
