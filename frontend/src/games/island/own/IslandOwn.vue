<script setup lang="ts">
/** A player's own team: it rolls, and sees how far it is. */
import { computed } from 'vue'
import type { GameMove, OwnBoardOf } from '@/api/types'
import type { BoardMoment } from '../../gameViews'
import TeamBefore from '../../shared/teams/TeamBefore.vue'
import TeamFlag from '../../shared/teams/TeamFlag.vue'
import { placeSaid, teamName, teamTitle } from '../../shared/teams/teams'
import { legSaid, rolledSaid } from '../said'
import { t } from '../words'

// It needs nothing else of what is on.
defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: OwnBoardOf<'island'>; at: BoardMoment }>()
const emit = defineEmits<{ move: [move: GameMove] }>()
const boat = computed(() => props.board.boat)
const last = computed(() => (props.board.last ? legSaid(props.board.last) : []))
</script>

<template>
  <TeamBefore
    v-if="at === 'before'"
    :team="boat?.number ?? null"
    :choices="board.choices"
    @move="emit('move', $event)"
  />
  <p
    v-else-if="at === 'during' && board.turn && board.rolled"
    class="mb-4 flex items-center gap-2 text-[15px]"
    role="status"
  >
    <TeamFlag :number="board.turn" class="size-4" />
    <span>{{ rolledSaid(board.turn, board.rolled) }}</span>
  </p>
  <div v-else-if="at !== 'during' && boat" class="pt-6">
    <p class="flex items-center gap-2 text-lg">
      <TeamFlag :number="boat.number" class="size-5" />
      <span>{{ teamTitle(boat.number) }}</span>
    </p>
    <h1 class="mt-1 text-4xl">
      {{ boat.bay >= board.bays ? t('round') : t('bay_of', { bay: boat.bay, bays: board.bays }) }}
    </h1>
    <p class="mt-3 text-xl">{{ placeSaid(boat.place, board.boats) }}</p>
    <p v-if="boat.waits && at === 'between'" class="mt-1 text-lg text-slate">{{ t('waits') }}</p>
    <template v-if="at === 'between'">
      <p v-for="line in last" :key="line" class="mt-3 text-lg text-slate">{{ line }}</p>
      <div role="status" class="mt-4">
        <template v-if="board.may_roll">
          <p class="text-xl font-bold">{{ t('you_roll') }}</p>
          <button
            type="button"
            class="mt-3 min-h-16 w-full rounded border-2 border-tide bg-sheet text-2xl font-bold text-tide"
            @click="emit('move', { move: 'roll' })"
          >
            {{ t('roll') }}
          </button>
        </template>
        <p v-else-if="board.turn" class="text-lg">{{ t('team_rolls', { name: teamName(board.turn) }) }}</p>
      </div>
    </template>
  </div>
</template>
