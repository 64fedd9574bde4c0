<script setup lang="ts">
import { computed } from 'vue'
import type { GameOf, Planned, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import HowTeamsAreMade from '../../desks/HowTeamsAreMade.vue'
import LayByHand from './LayByHand.vue'
import { t } from './words'

const props = defineProps<{ settings: Settings; plan?: Planned | null }>()
defineOptions({ inheritAttrs: false })
const game = defineModel<GameOf<'soundings'>>({ required: true })
const MOST_TEAMS = 8
const CLAIMS = [
  ['turns', t('the_team_whose_turn_it_is')],
  ['signal', t('whoever_signals_first')],
] as const
const MORE = [['room', t('in_the_room_without_devices')]] as const
/** What the chart is like: the channels, with how many soundings. */
const lies = computed(() =>
  (props.plan?.layout ?? [])
    .map((part) => `${part.name || t('open_water_2')} ${part.questions.length}`)
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
      :hint="game.made === 'room' ? t('teams_answer_aloud_and_you_say') : t('a_team_counts_as_the_mean')"
    />
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('first_comes') }}</span>
      <select v-model="game.claims" :class="smallField" :disabled="game.made === 'room'">
        <option v-for="[value, words] in CLAIMS" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
    <p v-if="lies">
      <b>{{ game.laid ? t('laid_by_hand') : t('the_chart') }}:</b> {{ lies }}
    </p>
    <LayByHand v-if="plan?.layout" v-model="game.laid" :plan="plan" />
  </div>
</template>
