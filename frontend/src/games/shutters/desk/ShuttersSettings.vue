<script setup lang="ts">
import type { GameOf, Planned } from '@/api/types'
import WhatIsPaired from '../../desks/WhatIsPaired.vue'
import { t } from './words'

defineOptions({ inheritAttrs: false })
const game = defineModel<GameOf<'shutters'>>({ required: true })
defineProps<{ plan: Planned | null; alone?: boolean }>()
</script>

<template>
  <div class="py-2">
    <WhatIsPaired v-model="game" :plan="plan" :alone="alone" />
    <label class="flex min-h-8 items-center gap-2">
      <input v-model="game.spoken" type="checkbox" class="size-5 accent-tide" />
      <span>{{ t('devices_say_each_word') }}</span>
    </label>
  </div>
</template>
