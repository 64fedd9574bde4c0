<script setup lang="ts">
/** Whether a text counts, and why: by glyph and words. */
import type { Verdict } from '@/api/types'

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
      <template v-if="withText && !verdict.sentence.startsWith(`${verdict.text} →`)"
        ><span dir="auto" class="font-bold">{{ verdict.text }}</span> ·
      </template>
      <span class="sr-only">{{ verdict.counts ? 'It counts: ' : 'It does not count: ' }}</span><span
        dir="auto"
        >{{ verdict.sentence }}</span
      >
    </span>
  </p>
</template>
