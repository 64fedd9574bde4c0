<script setup lang="ts">
import { computed } from 'vue'
import type { GameOf, Planned, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import HowTeamsAreMade from '../../desks/HowTeamsAreMade.vue'
import { numberIn, useMinutes } from '../../desks/numbers'
import StoryByHand from './StoryByHand.vue'
import { t } from './words'

defineOptions({ inheritAttrs: false })
const props = defineProps<{ plan?: Planned | null }>()
const game = defineModel<GameOf<'boathouse'>>({ required: true })
const settings = defineModel<Settings>('settings', { required: true })
const ALONE = [['alone', t('everybody_alone')]] as const
const MOST_TEAMS = 20
const MOST_LOCKS = 12

const minutes = useMinutes(settings)
const lies = computed(() => (props.plan?.layout ?? []).map((lock) => lock.questions.length).join(' · '))
</script>

<template>
  <div class="space-y-3 py-2">
    <HowTeamsAreMade
      v-model:made="game.made"
      v-model:teams="game.teams"
      :settings="settings"
      :most="MOST_TEAMS"
      :more="ALONE"
      :without-number="['alone']"
      :hint="t('any_members_right_answer_turns')"
    />
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('locks') }}</span>
      <input
        type="number"
        min="1"
        :max="MOST_LOCKS"
        placeholder="–"
        :class="smallField"
        class="w-20"
        :value="game.locks"
        @change="game = { ...game, locks: numberIn($event, 1, MOST_LOCKS) }"
      />
      <span v-if="!game.locks" class="text-slate">{{ t('one_for_every_three_questions') }}</span>
    </label>
    <p v-if="lies">
      <b>{{ t('dials_of_each_lock') }}</b> {{ lies }}
    </p>
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('it_ends_for_all_after') }}</span>
      <input
        type="number"
        min="1"
        max="360"
        placeholder="–"
        :class="smallField"
        class="w-20"
        :value="minutes"
        @change="minutes = numberIn($event, 1, 360)"
      />
      {{ t('minutes') }}
    </label>
    <StoryByHand v-if="plan?.layout?.length" v-model="game" :plan="plan" />
  </div>
</template>
