<script setup lang="ts">
/** Texts with how often each was given, in columns. */
import { figure } from '@/words'
import type { CountedWord } from './WordsCloud.vue'

defineProps<{ words: readonly CountedWord[] }>()
</script>

<template>
  <ul class="columns-[11em] gap-x-[1.5em] rounded border border-line bg-strip px-[0.7em] py-[0.5em]">
    <li
      v-for="word in words"
      :key="word.text"
      class="flex break-inside-avoid items-baseline justify-between gap-[0.8em] border-b border-line py-[0.15em]"
    >
      <span class="min-w-0 leading-snug wrap-anywhere" :class="word.right && 'font-bold'" dir="auto"
        ><span v-if="word.right" aria-hidden="true">✓</span> {{ word.text }}</span
      >
      <span class="figure">{{ figure(word.count) }}</span>
    </li>
  </ul>
</template>
