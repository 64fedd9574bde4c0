<script setup lang="ts">
import type { GameOf } from '@/api/types'
import UiSwitch from '@/ui/UiSwitch.vue'

// What the session is set to otherwise makes no difference here.
defineOptions({ inheritAttrs: false })
const game = defineModel<GameOf<'points'>>({ required: true })
</script>

<template>
  <div class="divide-y divide-rule">
    <UiSwitch
      :model-value="game.early_bonus ?? false"
      label="A little more for early answers"
      hint="At most 20 points on top of 100."
      @update:model-value="game = { ...game, early_bonus: $event }"
    />
    <UiSwitch
      :model-value="game.run_bonus ?? false"
      label="A little more for right ones in a row"
      hint="10 points for each right answer before it, 30 at most."
      @update:model-value="game = { ...game, run_bonus: $event }"
    />
  </div>
</template>
