<script setup lang="ts">
/** A player's own team. */
import { computed } from 'vue'
import type { GameMove, OwnBoardOf } from '@/api/types'
import { figure } from '@/words'
import type { BoardMoment } from '../../gameViews'
import { lit, teamName } from '../teams'
import { t } from '../words'

const props = defineProps<{ board: OwnBoardOf<'beacons'>; at: BoardMoment }>()
const emit = defineEmits<{ move: [move: GameMove] }>()
const team = computed(() => props.board.team)
const name = computed(() => (team.value ? teamName(team.value.number) : ''))
const light = computed(() => (team.value ? lit(team.value.light) : 0))
const own = computed(() => figure(Math.round(props.board.light * 10) / 10))
</script>

<template>
  <div v-if="at === 'before'" class="mt-5">
    <p v-if="team" class="text-xl font-bold" role="status">{{ t('your_team', { name }) }}</p>
    <p v-else-if="!board.choices" class="text-lg">{{ t('no_team') }}</p>
    <fieldset v-if="board.choices" class="mt-3">
      <legend class="mb-2 font-bold">{{ t('choose') }}</legend>
      <div class="grid grid-cols-2 gap-2">
        <button
          v-for="number in board.choices"
          :key="number"
          type="button"
          class="min-h-11 rounded border px-3 py-2 text-start"
          :class="team?.number === number ? 'border-2 border-tide bg-sheet font-bold' : 'border-ink bg-sheet'"
          :aria-pressed="team?.number === number"
          @click="emit('move', { move: 'join_team', team: number })"
        >
          <span v-if="team?.number === number" aria-hidden="true">✓ </span>{{ teamName(number) }}
        </button>
      </div>
    </fieldset>
  </div>
  <p v-else-if="at === 'during' && team" class="mb-3 flex items-center gap-3 text-[15px]">
    <b class="truncate">{{ t('team', { name }) }}</b>
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
    <p class="text-lg">{{ t('team', { name }) }}</p>
    <h1 class="text-5xl">{{ t('lit', { lit: light, length: board.length }) }}</h1>
    <p class="mt-3 text-xl">
      {{ team.arrived ? t('at_the_end') : '' }}
      {{ t('place', { place: team.place, teams: board.teams }) }}
    </p>
    <p class="mt-2 text-lg text-slate">{{ t('your_light', { light: own }) }}</p>
  </div>
</template>
