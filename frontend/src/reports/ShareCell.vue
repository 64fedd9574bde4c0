<script setup lang="ts">
/** A share as a pane that is lit as high as it is. */
import { computed } from 'vue'
import { percent } from '@/composables/format'
import { t } from './words'

const props = defineProps<{ share: number | null }>()
const height = computed(() => `${Math.round((props.share ?? 0) * 100)}%`)
</script>

<template>
  <span v-if="share === null" class="block h-8 text-center leading-8 text-slate" :aria-label="t('not_asked')"
    >·</span
  >
  <span v-else class="relative block h-8 min-w-10 bg-mist text-center text-sm leading-8 tabular-nums">
    <span class="absolute inset-x-0 bottom-0 bg-lamp-pane" :style="{ height }" aria-hidden="true" />
    <span class="relative"
      ><span aria-hidden="true">{{ Math.round(share * 100) }}</span
      ><span class="sr-only">{{ percent(share) }}</span></span
    >
  </span>
</template>
