<script setup lang="ts">
import type { GameOf, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import HowTeamsAreMade from '../settings/HowTeamsAreMade.vue'

defineOptions({ inheritAttrs: false })
defineProps<{ settings: Settings }>()
const game = defineModel<GameOf<'sea_chest'>>({ required: true })
const ROOM = [['room', 'in the room, without devices']] as const
const MOST_TEAMS = 8
const ORDERS = [
  ['drawn', 'as chance has it'],
  ['set', 'in the order of the set'],
] as const
</script>

<template>
  <div class="space-y-3 py-2">
    <HowTeamsAreMade
      v-model:made="game.made"
      v-model:teams="game.teams"
      :settings="settings"
      :most="MOST_TEAMS"
      :more="ROOM"
      hint="Teams answer aloud, and you give them pearls."
    />
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">Cards come</span>
      <select v-model="game.order" :class="smallField">
        <option v-for="[value, words] in ORDERS" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
  </div>
</template>
