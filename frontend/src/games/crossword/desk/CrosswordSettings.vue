<script setup lang="ts">
import type { GameOf } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'

defineOptions({ inheritAttrs: false })
defineProps<{ alone?: boolean }>()
const game = defineModel<GameOf<'crossword'>>({ required: true })
const WAYS = [
  [false, 'for oneself'],
  [true, 'together: what anybody has right stands in the grid of all'],
] as const
const MOST = 999
</script>

<template>
  <div class="space-y-3 py-2">
    <label v-if="!alone" class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">Everybody solves it</span>
      <select v-model="game.together" :class="smallField" class="max-w-full">
        <option v-for="[value, words] in WAYS" :key="words" :value="value">{{ words }}</option>
      </select>
    </label>
    <p v-if="game.together && !alone" class="text-slate">
      A word may then have been read before it is answered, so that marks say less of each one.
    </p>
    <p class="flex flex-wrap items-center gap-2">
      <span>Crossword number {{ game.number }} of these words.</span>
      <UiButton size="small" @click="game.number = ((game.number ?? 1) % MOST) + 1">Another one</UiButton>
    </p>
  </div>
</template>
