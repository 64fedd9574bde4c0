<script setup lang="ts">
import { computed } from 'vue'
import type { GameOf, Planned, Settings } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiSwitch from '@/ui/UiSwitch.vue'
import { numberIn, useMinutes } from '../../desks/numbers'
import { t } from './words'

const props = defineProps<{ plan?: Planned | null; alone?: boolean }>()
const game = defineModel<GameOf<'keepers'>>({ required: true })
const settings = defineModel<Settings>('settings', { required: true })

const minutes = useMinutes(settings)
const about = computed(() => {
  const answers = minutes.value && props.plan ? (minutes.value * 60) / props.plan.pace : 0
  return answers ? t('about_questions_for_each', { count: Math.max(5, Math.round(answers / 5) * 5) }) : ''
})
</script>

<template>
  <div class="divide-y divide-rule">
    <fieldset class="space-y-2 py-2">
      <legend class="font-bold">{{ t('it_ends_whichever_comes_first') }}</legend>
      <label class="flex flex-wrap items-center gap-2"
        >{{ alone ? t('after') : t('for_all_after') }}
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
        {{ t('minutes') }} <span class="text-slate">{{ about }}</span>
      </label>
      <label class="flex flex-wrap items-center gap-2"
        >{{ alone ? t('after') : t('for_each_one_after') }}
        <input
          type="number"
          min="3"
          max="500"
          placeholder="–"
          :class="smallField"
          class="w-20"
          :value="game.answers"
          @change="game = { ...game, answers: numberIn($event, 3, 500) }"
        />
        {{ t('questions') }}
      </label>
      <label class="flex flex-wrap items-center gap-2"
        >{{ alone ? t('with') : t('for_each_one_with') }}
        <input
          type="number"
          min="50"
          max="20000"
          step="50"
          placeholder="–"
          :class="smallField"
          class="w-24"
          :value="game.oil"
          @change="game = { ...game, oil: numberIn($event, 50, 20000) }"
        />
        {{ t('oil_earned') }}
      </label>
    </fieldset>
    <UiSwitch
      v-if="!alone"
      :model-value="game.gusts ?? false"
      :label="t('gusts')"
      :hint="t('players_may_put_out_the_flame')"
      @update:model-value="game = { ...game, gusts: $event }"
    />
  </div>
</template>
