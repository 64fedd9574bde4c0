<script setup lang="ts">
/** The chest with the cards that are left in it, and the pearls of every team on a string. */
import { computed } from 'vue'
import type { BoardOf } from '@/api/types'
import type { BoardMoment } from '../gameViews'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { teamName } from '../shared/teams/teams'
import { t } from './words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ board: BoardOf<'sea_chest'>; at: BoardMoment }>()
const ON_A_STRING = 12
const PEARL = 21

const teams = computed(() => {
  const all = props.board.teams
  return props.at === 'after' ? [...all].sort((a, b) => a.place - b.place) : all
})
/** All strings are as long as the longest has to be. */
const long = computed(() => PEARL * Math.max(ON_A_STRING, ...props.board.teams.map((team) => team.pearls)))
/** How far the cards stand out of the chest. */
const cards = computed(() => Math.min(5, props.board.left))
</script>

<template>
  <div class="grid min-h-0 grow grid-cols-[1fr_1.9fr] items-center gap-[3vw]">
    <div class="text-center">
      <svg viewBox="0 0 200 160" class="mx-auto w-full max-w-[11em]" aria-hidden="true">
        <path d="M22 70Q30 22 100 18T178 70Z" class="fill-bar stroke-front" stroke-width="3" />
        <g v-for="card in cards" :key="card">
          <rect
            :x="44 + card * 18"
            :y="56 - card * 3"
            width="40"
            height="50"
            rx="3"
            class="fill-front stroke-ground"
            stroke-width="2"
            :transform="`rotate(${card * 7 - 22} ${64 + card * 18} 100)`"
          />
        </g>
        <path d="M16 78H184L176 148H24Z" class="fill-bar stroke-front" stroke-width="3" />
        <path d="M16 96H184M60 78L64 148M140 78L136 148" class="stroke-front" stroke-width="2" fill="none" />
        <rect
          x="88"
          y="86"
          width="24"
          height="28"
          rx="3"
          class="fill-light-bar stroke-front"
          stroke-width="2.5"
        />
      </svg>
      <p class="mt-[0.4em] text-[max(18px,0.85em)]">
        {{ board.left ? t('left', { n: board.left }) : t('empty') }}
      </p>
      <p v-if="board.turn && at !== 'after'" class="mt-[0.5em] flex items-center justify-center gap-[0.5em]">
        <TeamFlag :number="board.turn" class="size-[1.1em]" />
        <b role="status">{{ t('team_draws', { name: teamName(board.turn) }) }}</b>
      </p>
    </div>
    <ol class="space-y-[0.55em]">
      <li v-for="team in teams" :key="team.number" class="flex min-w-0 items-center gap-[0.5em]">
        <span v-if="at === 'after'" class="figure w-[1em] shrink-0 text-soft">{{ team.place }}</span>
        <TeamFlag :number="team.number" class="size-[1em]" />
        <span
          class="w-[6.2em] shrink-0 truncate"
          :class="at === 'after' && team.place === 1 && 'font-bold'"
          aria-hidden="true"
          >{{ teamName(team.number) }}</span
        >
        <svg
          :viewBox="`0 0 ${long} 24`"
          class="max-h-[1.3em] min-w-0 grow"
          preserveAspectRatio="xMinYMid meet"
          aria-hidden="true"
        >
          <path :d="`M0 12H${long}`" class="stroke-soft" stroke-opacity="0.5" stroke-width="1.5" />
          <circle
            v-for="pearl in team.pearls"
            :key="pearl"
            :cx="PEARL * (pearl - 0.5)"
            cy="12"
            r="8.5"
            class="fill-light-bar stroke-ground"
            stroke-width="1.5"
          />
        </svg>
        <span class="figure w-[1.6em] shrink-0 text-end" aria-hidden="true">{{ team.pearls }}</span>
        <span class="sr-only">{{
          t('team_has', { name: teamName(team.number), n: t('pearls', { n: team.pearls }) })
        }}</span>
      </li>
    </ol>
  </div>
</template>
