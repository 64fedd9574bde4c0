<script setup lang="ts">
/** Whether a text counts, and why: by glyph and words. */
import type { Verdict } from '@/api/types'
import { t } from './words'
import { told } from '@/told'

defineProps<{ verdict: Verdict; withText?: boolean }>()
</script>

<template>
  <p class="flex items-baseline gap-2">
    <span
      class="inline-flex size-5 shrink-0 items-center justify-center self-start rounded-sm text-sm"
      :class="verdict.counts ? 'bg-lamp text-ink' : 'border border-edge'"
      aria-hidden="true"
      >{{ verdict.counts ? '✓' : '✗' }}</span
    >
    <span class="min-w-0 wrap-anywhere">
      <template v-if="withText && verdict.why.code !== 'forgiven'"
        ><span dir="auto" class="font-bold">{{ verdict.text }}</span> ·
      </template>
      <span class="sr-only">{{ verdict.counts ? t('it_counts') : t('it_does_not_count') }}</span>
      <span dir="auto">{{ told(verdict.why) }}</span>
    </span>
  </p>
</template>
