<script setup lang="ts">
import type { GameOf } from '@/api/types'
import UiSwitch from '@/ui/UiSwitch.vue'

const game = defineModel<GameOf<'points'>>({ required: true })
</script>

<template>
  <UiSwitch
    :model-value="game.early_bonus ?? false"
    label="A little more for early answers"
    hint="At most 20 points on top of 100."
    @update:model-value="game = { ...game, early_bonus: $event }"
  />
</template>
