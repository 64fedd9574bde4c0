<script setup lang="ts">
/** A player's own team. */
import { computed } from 'vue'
import type { GameMove, OwnBoardOf } from '@/api/types'
import { figure } from '@/words'
import type { BoardMoment } from '../../gameViews'
import TeamBefore from '../../shared/teams/TeamBefore.vue'
import { placeSaid, teamName, teamTitle } from '../../shared/teams/teams'
import { lit } from '../light'
import { t } from '../words'

// It needs nothing else of what is on.
defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: OwnBoardOf<'beacons'>; at: BoardMoment }>()
const emit = defineEmits<{ move: [move: GameMove] }>()
const team = computed(() => props.board.team)
const name = computed(() => (team.value ? teamName(team.value.number) : ''))
const light = computed(() => (team.value ? lit(team.value.light) : 0))
const own = computed(() => figure(Math.round(props.board.light * 10) / 10))
</script>

<template>
  <TeamBefore
    v-if="at === 'before'"
    :team="team?.number ?? null"
    :choices="board.choices"
    @move="emit('move', $event)"
  />
  <p v-else-if="at === 'during' && team" class="mb-3 flex items-center gap-3 text-[15px]">
    <b class="truncate">{{ teamTitle(team.number) }}</b>
    <span
      class="h-2.5 min-w-10 grow rounded-sm bg-rule"
      role="img"
      :aria-label="t('light_of', { name, lit: light, length: board.length })"
    >
      <span
        class="block h-full rounded-sm bg-lamp"
        :style="{ width: `${(team.light / board.length) * 100}%` }"
      />
    </span>
    <span class="shrink-0 tabular-nums">{{ t('lit', { lit: light, length: board.length }) }}</span>
  </p>
  <div v-else-if="team" class="pt-8" role="status">
    <p class="text-lg">{{ teamTitle(team.number) }}</p>
    <h1 class="text-5xl">{{ t('lit', { lit: light, length: board.length }) }}</h1>
    <p class="mt-3 text-xl">
      {{ team.arrived ? t('at_the_end') : '' }}
      {{ placeSaid(team.place, board.teams) }}
    </p>
    <p class="mt-2 text-lg text-slate">{{ t('your_light', { light: own }) }}</p>
  </div>
</template>
