<script setup lang="ts">
import type { GameOf, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import HowTeamsAreMade from '../../desks/HowTeamsAreMade.vue'
import { numberIn } from '../../desks/numbers'
import { t } from './words'

defineOptions({ inheritAttrs: false })
defineProps<{ settings: Settings }>()
const game = defineModel<GameOf<'island'>>({ required: true })
const ROOM = [['room', t('in_the_room_without_devices')]] as const
const MOST_BOATS = 6
const [SHORTEST, LONGEST] = [12, 60]
</script>

<template>
  <div class="space-y-3 py-2">
    <HowTeamsAreMade
      v-model:made="game.made"
      v-model:teams="game.teams"
      :settings="settings"
      :most="MOST_BOATS"
      :more="ROOM"
      :hint="t('a_team_knows_the_answer')"
    />
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('bays_round_the_island') }}</span>
      <input
        type="number"
        :min="SHORTEST"
        :max="LONGEST"
        placeholder="–"
        :class="smallField"
        class="w-20"
        :value="game.bays"
        @change="game.bays = numberIn($event, SHORTEST, LONGEST)"
      />
      <span v-if="!game.bays" class="text-slate">{{ t('as_far_as_the_questions_go') }}</span>
    </label>
    <label v-if="game.made !== 'room'" class="flex min-h-8 items-center gap-2">
      <input v-model="game.events" type="checkbox" class="size-5 accent-tide" />
      <span>{{ t('currents_shoals_lighthouses_and_fog') }}</span>
    </label>
  </div>
</template>
