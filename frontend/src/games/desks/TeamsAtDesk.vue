<script setup lang="ts">
/** Teams at the desk: what each has, more or less of it by hand, and whose turn it is. */
import UiButton from '@/ui/UiButton.vue'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { teamName } from '../shared/teams/teams'
import WhoseTurn from './WhoseTurn.vue'
import { t } from './words'

defineProps<{
  /** `has` so many of `unit`; `members` where they have devices. */
  teams: readonly { number: number; has: number; members: number | null }[]
  unit: string
  /** The number of the team whose turn it is, as long as anybody has one. */
  turn: number | null
}>()
const emit = defineEmits<{ add: [team: number, more: number]; turn: [team: number] }>()
const BY = [
  [-1, '−1'],
  [1, '+1'],
] as const
</script>

<template>
  <div>
    <ul class="flex flex-wrap gap-x-6 gap-y-1">
      <li v-for="team in teams" :key="team.number" class="flex items-center gap-1.5">
        <TeamFlag :number="team.number" class="size-4" />
        <span>{{ teamName(team.number) }}</span>
        <span v-if="team.members !== null" class="text-sm text-slate">({{ team.members }})</span>
        <b class="figure min-w-6 text-end text-lg">{{ team.has }}</b>
        <UiButton
          v-for="[more, sign] in BY"
          :key="more"
          look="quiet"
          size="small"
          class="px-1.5!"
          @click="emit('add', team.number, more)"
          ><span
            >{{ sign }}
            <span class="sr-only">{{ t('for', { unit, team: teamName(team.number) }) }}</span></span
          ></UiButton
        >
      </li>
    </ul>
    <WhoseTurn v-if="turn" :turn="turn" :teams="teams" @turn="emit('turn', $event)" />
  </div>
</template>
