<script setup lang="ts">
import type { GameOf, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import HowTeamsAreMade from '../../desks/HowTeamsAreMade.vue'
import { numberIn } from '../../desks/numbers'
import { t } from './words'

defineOptions({ inheritAttrs: false })
defineProps<{ settings: Settings }>()
const game = defineModel<GameOf<'beacons'>>({ required: true })
const ENDS = [
  ['furthest', t('whoever_is_furthest_when_you_end')],
  ['first', t('whoever_is_first_at_the_end')],
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
      :hint="t('uneven_teams_are_fair_a_team')"
    />
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('the_winner_is') }}</span>
      <select v-model="game.ends" :class="smallField">
        <option v-for="[value, words] in ENDS" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('beacons_in_a_chain') }}</span>
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
        game.length ? '' : game.ends === 'first' ? t('seven_for_ten_questions') : t('one_for_each_question')
      }}</span>
    </label>
  </div>
</template>
