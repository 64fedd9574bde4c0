<script setup lang="ts">
/** How to come in, for the last row: a QR picture, an address that can be read out, and the code. */
import { computed } from 'vue'
import type { SessionInfo } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import { t } from './words'

const props = defineProps<{ code: string; info: SessionInfo | null; session: number }>()
/** "lantern.school/join" is easier to read out than a whole address. */
const address = computed(() => props.info?.join_url.replace(/^https?:\/\//, '').replace(/\/[^/]+$/, '') ?? '')
</script>

<template>
  <div class="flex flex-wrap items-start gap-[3vw]">
    <img
      :src="`/api/live/sessions/${session}/qr.svg`"
      :alt="t('qr_picture')"
      class="size-[clamp(11rem,34vh,46rem)] rounded"
    />
    <div>
      <p>{{ t('go_to') }}</p>
      <p class="figure text-[1.5em] wrap-anywhere text-light">{{ address }}</p>
      <p class="mt-[2vh]">{{ t('and_type') }}</p>
      <p class="figure text-[3em] tracking-wide whitespace-nowrap text-light">{{ spacedCode(code) }}</p>
    </div>
  </div>
</template>
