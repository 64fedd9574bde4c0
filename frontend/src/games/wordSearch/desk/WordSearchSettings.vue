<script setup lang="ts">
import type { GameOf, Planned } from '@/api/types'
import { smallField } from '@/ui/recipes'
import WhatIsPaired from '../../desks/WhatIsPaired.vue'
import { t } from './words'

defineOptions({ inheritAttrs: false })
defineProps<{ plan?: Planned | null; alone?: boolean }>()
const game = defineModel<GameOf<'word_search'>>({ required: true })
const WAYS = [
  ['straight', t('across_and_down')],
  ['slopes', t('across_down_and_on_slopes')],
  ['backwards', t('in_every_direction_backwards_too')],
] as const
</script>

<template>
  <div class="space-y-3 py-2">
    <label class="flex flex-wrap items-center gap-2"
      ><span class="font-bold">{{ t('words_run') }}</span>
      <select v-model="game.directions" :class="smallField">
        <option v-for="[value, words] in WAYS" :key="value" :value="value">{{ words }}</option>
      </select>
    </label>
    <WhatIsPaired
      v-model="game"
      :plan="plan ?? null"
      :alone="alone"
      counts="What is found is right, and counts in reports."
    />
  </div>
</template>
