<script setup lang="ts">
import type { GameOf, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import HowTeamsAreMade from '../settings/HowTeamsAreMade.vue'
import { numberIn } from '../settings/numbers'

defineOptions({ inheritAttrs: false })
defineProps<{ settings: Settings }>()
const game = defineModel<GameOf<'island'>>({ required: true })
const ROOM = [['room', 'in the room, without devices']] as const
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
      hint="A team knows the answer if half of it does."
    />
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">Bays round the island</span>
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
      <span v-if="!game.bays" class="text-slate">as far as the questions go</span>
    </label>
    <label v-if="game.made !== 'room'" class="flex min-h-8 items-center gap-2">
      <input v-model="game.events" type="checkbox" class="size-5 accent-tide" />
      <span>Currents, shoals, lighthouses and fog on the way</span>
    </label>
  </div>
</template>
