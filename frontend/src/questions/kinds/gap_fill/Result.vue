<script setup lang="ts">
/** The text with numbered gaps, and below it what stood in each. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'gap_fill'>
  tally?: TallyOf<'gap_fill'> | null
  answerKey?: KeyOf<'gap_fill'> | null
  mine?: StudentAnswerOf<'gap_fill'> | null
}>()

const MOST_WORDS = 5
const gaps = computed(() =>
  props.item.stretches
    .filter((stretch) => stretch.gap !== null && stretch.gap !== undefined)
    .map((stretch) => {
      const gap = stretch.gap!
      const words = props.tally?.gaps[gap] ?? []
      return {
        gap,
        words: [...words].sort((a, b) => Number(b.right ?? 0) - Number(a.right ?? 0)).slice(0, MOST_WORDS),
        mine: props.mine?.texts[gap],
      }
    }),
)
const hasRows = computed(() => !!props.tally || !!props.mine)
</script>

<template>
  <div>
    <p class="rounded border border-line bg-strip px-[0.7em] py-[0.5em] leading-relaxed" dir="auto">
      <template v-for="(stretch, index) in item.stretches" :key="index"
        ><span v-html="stretch.html" /><template v-if="stretch.gap !== null && stretch.gap !== undefined"
          ><b v-if="answerKey" class="rounded bg-lamp px-[0.3em] text-ink">{{
            answerKey.gaps[stretch.gap]?.[0]
          }}</b
          ><span v-else class="rounded border-b-2 border-front px-[0.5em]"
            ><span aria-hidden="true">{{ stretch.gap + 1 }}</span
            ><span class="sr-only" :lang="language" dir="auto">{{
              t('gap', { number: stretch.gap + 1 })
            }}</span></span
          ></template
        ></template
      >
    </p>
    <p v-if="item.bank.length && !answerKey" class="mt-[0.4em] flex flex-wrap gap-x-[1em] text-soft">
      <span v-for="(word, index) in item.bank" :key="index">{{ word }}</span>
    </p>
    <ol v-if="hasRows" class="mt-[0.6em] grid gap-[0.35em]">
      <li v-for="row in gaps" :key="row.gap" class="flex items-baseline gap-x-[0.9em]">
        <b class="figure w-[1.2em] shrink-0 text-end">{{ row.gap + 1 }}</b>
        <span class="flex min-w-0 flex-wrap items-baseline gap-x-[0.9em] gap-y-[0.2em]">
          <span v-for="word in row.words" :key="word.text" class="wrap-anywhere">
            <span :class="word.right && 'rounded bg-lamp px-[0.25em] text-ink'"
              ><span v-if="word.right" aria-hidden="true">✓ </span>{{ word.text }}</span
            >
            <span class="figure ms-[0.35em]">{{ word.count }}</span>
          </span>
          <span v-if="tally && !row.words.length" class="text-soft" :lang="language" dir="auto">{{
            t('nothing')
          }}</span>
          <span
            v-if="row.mine !== undefined"
            class="text-[max(var(--least,0px),0.85em)] underline decoration-2 underline-offset-4"
            :lang="language"
            dir="auto"
            >{{ common('yours', { text: row.mine || '–' }) }}</span
          >
        </span>
      </li>
    </ol>
  </div>
</template>
