<script setup lang="ts">
/** The answers as a wall, without names. */
import type { PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import { note } from '@/questions/shared/recipes'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

defineProps<{
  item: PublicItemOf<'open_response'>
  tally?: TallyOf<'open_response'> | null
  mine?: StudentAnswerOf<'open_response'> | null
}>()
</script>

<template>
  <div>
    <ul
      v-if="tally?.texts.length"
      class="columns-1 gap-[0.6em] text-[max(var(--least,0px),0.85em)] sm:columns-2"
    >
      <li
        v-for="(text, index) in tally.texts"
        :key="index"
        class="mb-[0.6em] break-inside-avoid rounded border border-line bg-strip px-[0.6em] py-[0.4em] leading-snug wrap-anywhere whitespace-pre-line"
        dir="auto"
      >
        {{ text }}
      </li>
    </ul>
    <p v-else-if="!mine" :class="note" :lang="language" dir="auto">{{ t('invite') }}</p>
    <p v-if="tally && (tally.n ?? 0) > tally.texts.length" class="text-soft" :lang="language" dir="auto">
      {{ common('count_more', { count: (tally.n ?? 0) - tally.texts.length }) }}
    </p>
    <p v-if="mine" class="mt-[0.3em] wrap-anywhere whitespace-pre-line" dir="auto">
      <b :lang="language" dir="auto">{{ common('your_answer_head') }}</b> {{ mine.text }}
    </p>
  </div>
</template>
