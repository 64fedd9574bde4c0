<script setup lang="ts">
/** Teams at the desk: what each has, more or less of it by hand, and whose turn it is. */
import UiButton from '@/ui/UiButton.vue'
import { smallField } from '@/ui/recipes'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { teamName } from '../shared/teams/teams'

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
        <b class="figure min-w-6 text-right text-lg">{{ team.has }}</b>
        <UiButton
          v-for="[more, sign] in BY"
          :key="more"
          look="quiet"
          size="small"
          class="px-1.5!"
          @click="emit('add', team.number, more)"
          ><span
            >{{ sign }}<span class="sr-only">{{ ` ${unit} for ${teamName(team.number)}` }}</span></span
          ></UiButton
        >
      </li>
    </ul>
    <label v-if="turn" class="mt-2 flex w-fit items-center gap-2 text-[15px]"
      >Whose turn it is
      <select
        :class="smallField"
        :value="turn"
        @change="emit('turn', Number(($event.target as HTMLSelectElement).value))"
      >
        <option v-for="team in teams" :key="team.number" :value="team.number">
          {{ teamName(team.number) }}
        </option>
      </select>
    </label>
  </div>
</template>
