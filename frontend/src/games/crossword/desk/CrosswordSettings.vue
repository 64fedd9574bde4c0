<script setup lang="ts">
import type { GameOf } from '@/api/types'
import { smallField } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import { t } from './words'

defineOptions({ inheritAttrs: false })
defineProps<{ alone?: boolean }>()
const game = defineModel<GameOf<'crossword'>>({ required: true })
const WAYS = [
  [false, t('for_oneself')],
  [true, t('together')],
] as const
const MOST = 999
</script>

<template>
  <div class="space-y-3 py-2">
    <label v-if="!alone" class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('everybody_solves_it') }}</span>
      <select v-model="game.together" :class="smallField" class="max-w-full">
        <option v-for="[value, words] in WAYS" :key="words" :value="value">{{ words }}</option>
      </select>
    </label>
    <p v-if="game.together && !alone" class="text-slate">
      {{ t('a_word_may_then_have_been') }}
    </p>
    <p class="flex flex-wrap items-center gap-2">
      <span>{{ t('crossword_number_of_these_words', { number: game.number }) }}</span>
      <UiButton size="small" @click="game.number = ((game.number ?? 1) % MOST) + 1">{{
        t('another_one')
      }}</UiButton>
    </p>
  </div>
</template>
