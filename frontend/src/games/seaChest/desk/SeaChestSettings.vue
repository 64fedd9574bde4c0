<script setup lang="ts">
import type { GameOf, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import HowTeamsAreMade from '../../desks/HowTeamsAreMade.vue'
import { t } from './words'

defineOptions({ inheritAttrs: false })
defineProps<{ settings: Settings }>()
const game = defineModel<GameOf<'sea_chest'>>({ required: true })
const ROOM = [['room', t('in_the_room_without_devices')]] as const
const MOST_TEAMS = 8
const ORDERS = [
  ['drawn', t('as_chance_has_it')],
  ['set', t('in_the_order_of_the_set')],
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
      :hint="t('teams_answer_aloud_and_you_give')"
    />
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('cards_come') }}</span>
      <select v-model="game.order" :class="smallField">
        <option v-for="[value, words] in ORDERS" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
  </div>
</template>
