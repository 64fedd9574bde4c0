<script setup lang="ts">
import { computed } from 'vue'
import type { GameOf, Planned, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import HowTeamsAreMade from '../settings/HowTeamsAreMade.vue'
import LayByHand from './LayByHand.vue'

const props = defineProps<{ settings: Settings; plan?: Planned | null }>()
defineOptions({ inheritAttrs: false })
const game = defineModel<GameOf<'soundings'>>({ required: true })
const MOST_TEAMS = 8
const CLAIMS = [
  ['turns', 'the team whose turn it is'],
  ['signal', 'whoever signals first'],
] as const
const MORE = [['room', 'in the room, without devices']] as const
/** What the chart is like: the channels, with how many soundings. */
const lies = computed(() =>
  (props.plan?.layout ?? [])
    .map((part) => `${part.name || 'open water'} ${part.questions.length}`)
    .join(' · '),
)
</script>

<template>
  <div class="space-y-3 py-2">
    <HowTeamsAreMade
      v-model:made="game.made"
      v-model:teams="game.teams"
      :settings="settings"
      :most="MOST_TEAMS"
      :more="MORE"
      :hint="
        game.made === 'room'
          ? 'Teams answer aloud, and you say who has charted it.'
          : 'A team counts as the mean of what its members answer.'
      "
    />
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">First comes</span>
      <select v-model="game.claims" :class="smallField" :disabled="game.made === 'room'">
        <option v-for="[value, words] in CLAIMS" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
    <p v-if="lies">
      <b>{{ game.laid ? 'Laid by hand' : 'The chart' }}:</b> {{ lies }}
    </p>
    <LayByHand v-if="plan?.layout" v-model="game.laid" :plan="plan" />
  </div>
</template>
