<script setup lang="ts">
import type { GameOf } from '@/api/types'
import { smallField } from '@/ui/recipes'

// What the session is set to otherwise makes no difference here.
defineOptions({ inheritAttrs: false })
const game = defineModel<GameOf<'beacons'>>({ required: true })
const MADE = [
  ['drawn', 'drawn as they come in'],
  ['chosen', 'chosen by the players'],
  ['shared', 'one for each shared device'],
] as const
const ENDS = [
  ['furthest', 'whoever is furthest when you end it'],
  ['first', 'whoever is first at the end of the chain'],
] as const
const MOST_TEAMS = 20
const LONGEST = 60

function within(event: Event, least: number, most: number): number | null {
  const field = event.target as HTMLInputElement
  const wanted = Math.round(Number(field.value))
  return field.value && Number.isFinite(wanted) ? Math.min(most, Math.max(least, wanted)) : null
}
</script>

<template>
  <div class="space-y-3 py-2">
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">Teams are</span>
      <select v-model="game.made" :class="smallField">
        <option v-for="[value, words] in MADE" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
    <label v-if="game.made !== 'shared'" class="flex items-center gap-2"
      ><span class="font-bold">How many</span>
      <input
        type="number"
        min="2"
        :max="MOST_TEAMS"
        :class="smallField"
        class="w-20"
        :value="game.teams"
        @change="game.teams = within($event, 2, MOST_TEAMS) ?? 4"
      />
      <span class="text-slate">Uneven teams are fair: a team counts as the mean of its members.</span>
    </label>
    <p v-else class="text-slate">
      Each device is a team, 20 at most. Whoever joins types in the names of all who sit there; reports show
      them.
    </p>
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">The winner is</span>
      <select v-model="game.ends" :class="smallField">
        <option v-for="[value, words] in ENDS" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">Beacons in a chain</span>
      <input
        type="number"
        min="3"
        :max="LONGEST"
        placeholder="–"
        :class="smallField"
        class="w-20"
        :value="game.length"
        @change="game.length = within($event, 3, LONGEST)"
      />
      <span class="text-slate">{{
        game.length ? '' : game.ends === 'first' ? 'seven for ten questions' : 'one for each question'
      }}</span>
    </label>
  </div>
</template>
