<script setup lang="ts">
import type { GameOf } from '@/api/types'
import UiSwitch from '@/ui/UiSwitch.vue'
import { t } from './words'

// What the session is set to otherwise makes no difference here.
defineOptions({ inheritAttrs: false })
const game = defineModel<GameOf<'points'>>({ required: true })
</script>

<template>
  <div class="divide-y divide-rule">
    <UiSwitch
      :model-value="game.early_bonus ?? false"
      :label="t('a_little_more_for_early_answers')"
      :hint="t('at_most_20_points_on_top')"
      @update:model-value="game = { ...game, early_bonus: $event }"
    />
    <UiSwitch
      :model-value="game.run_bonus ?? false"
      :label="t('a_little_more_for_right_ones')"
      :hint="t('ten_points_for_each_right_answer')"
      @update:model-value="game = { ...game, run_bonus: $event }"
    />
  </div>
</template>
