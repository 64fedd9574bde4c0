<script setup lang="ts">
import type { GameOf, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import HowTeamsAreMade from '../settings/HowTeamsAreMade.vue'
import { numberIn } from '../settings/numbers'

defineOptions({ inheritAttrs: false })
defineProps<{ settings: Settings }>()
const game = defineModel<GameOf<'beacons'>>({ required: true })
const ENDS = [
  ['furthest', 'whoever is furthest when you end it'],
  ['first', 'whoever is first at the end of the chain'],
] as const
const MOST_TEAMS = 20
const LONGEST = 60
</script>

<template>
  <div class="space-y-3 py-2">
    <HowTeamsAreMade
      v-model:made="game.made"
      v-model:teams="game.teams"
      :settings="settings"
      :most="MOST_TEAMS"
      hint="Uneven teams are fair: a team counts as the mean of its members."
    />
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
        @change="game.length = numberIn($event, 3, LONGEST)"
      />
      <span class="text-slate">{{
        game.length ? '' : game.ends === 'first' ? 'seven for ten questions' : 'one for each question'
      }}</span>
    </label>
  </div>
</template>
