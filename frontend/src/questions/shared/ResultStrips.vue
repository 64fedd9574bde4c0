<script setup lang="ts">
/** Lines as strips; with a count each strip fills as a bar, the right one gets light. */
import { computed } from 'vue'
import type { Media, ResultForm } from '@/api/types'
import AnswerDots from './AnswerDots.vue'
import LetterBox from './LetterBox.vue'
import MediaView from '@/media/shown/MediaView.vue'
import { t } from './words'
import { figure, language } from '@/words'

export interface Strip {
  id: string
  letter?: string
  /** Formatted text; or `text`, which is shown as it is. */
  html?: string
  text?: string
  media?: Media | null
  /** What stands at the strip's end, as a count; null while there is no result. */
  figure: number | string | null
  /** How far the strip is filled, 0..1. */
  share: number
  right?: boolean
  /** The bar counts what was right, though the line itself is neither right nor wrong. */
  lit?: boolean
  mine?: boolean
  note?: string
}

const props = defineProps<{
  rows: readonly Strip[]
  /** Bars with counts, unless it is said otherwise: with shares, or a dot for each answer. */
  form?: ResultForm | null
}>()
const ending = (row: Strip): string | number =>
  props.form === 'shares' && typeof row.figure === 'number'
    ? `${figure(Math.round(row.share * 100))} %`
    : row.figure!
/** Their number, where each answer is drawn. */
const dots = (row: Strip): number =>
  props.form === 'dots' && typeof row.figure === 'number' ? row.figure : 0

const crowded = computed(() => props.rows.some((row) => dots(row) > 60))

/** More stand in two columns, where there is room for two. */
const MOST_IN_A_COLUMN = 6
const inTwo = computed(
  () =>
    props.rows.length > MOST_IN_A_COLUMN || (props.rows.length > 2 && props.rows.some((row) => row.media)),
)

/** Pictures alone take the room that words leave; the more there are, the less each has. */
const pictureHeight = computed(() => {
  const onlyPictures = props.rows.every((row) => row.media && !row.html && !row.text)
  return onlyPictures ? `clamp(5.5em, ${18 / Math.ceil(props.rows.length / 2)}em, 9em)` : undefined
})
</script>

<template>
  <div class="@container">
    <ul
      class="grid gap-[0.4em] @min-[860px]:[--option-picture:var(--tall-picture)]"
      :class="
        inTwo &&
        '@min-[860px]:grid-flow-col @min-[860px]:grid-cols-2 @min-[860px]:[grid-template-rows:repeat(var(--rows),auto)]'
      "
      :style="{ '--rows': Math.ceil(rows.length / 2), '--tall-picture': pictureHeight }"
    >
      <li
        v-for="row in rows"
        :key="row.id"
        class="relative flex min-h-[2.6em] items-center overflow-hidden rounded px-[0.5em] py-[0.35em]"
        :class="
          row.right
            ? 'border-[3px] border-front bg-sheet text-ink'
            : row.lit
              ? 'border border-front bg-sheet text-ink'
              : 'border border-line bg-strip'
        "
      >
        <span
          v-if="form !== 'dots'"
          class="absolute inset-y-0 start-0 transition-[width] duration-200"
          :class="row.right || row.lit ? 'bg-lamp' : 'bg-bar'"
          :style="{ width: `${Math.round(row.share * 1000) / 10}%` }"
        />
        <span class="relative flex min-w-0 grow flex-wrap items-center gap-x-[0.6em] gap-y-[0.2em]">
          <LetterBox
            v-if="row.letter"
            :letter="row.letter"
            :filled="row.right || row.lit"
            :class="!row.right && !row.lit && 'bg-strip'"
          />
          <MediaView v-if="row.media" :media="row.media" small />
          <span v-if="row.html" class="prose min-w-0 leading-snug" dir="auto" v-html="row.html" />
          <span v-else-if="row.text" class="min-w-0 leading-snug wrap-anywhere" dir="auto">{{
            row.text
          }}</span>
          <span v-if="row.right" class="font-bold whitespace-nowrap" :lang="language" dir="auto"
            ><span aria-hidden="true">✓</span> {{ t('right') }}</span
          >
          <AnswerDots v-if="dots(row)" :count="dots(row)" :lit="row.right || row.lit" :small="crowded" />
          <span v-if="row.note" class="text-[max(var(--least,0px),0.8em)]" :lang="language" dir="auto">{{
            row.note
          }}</span>
          <span
            v-if="row.mine"
            class="text-[max(var(--least,0px),0.8em)] whitespace-nowrap underline decoration-2 underline-offset-4"
            :lang="language"
            dir="auto"
            >{{ t('own') }}</span
          >
        </span>
        <span v-if="row.figure !== null" class="figure relative ps-[0.6em] text-[1.05em]">{{
          ending(row)
        }}</span>
      </li>
    </ul>
  </div>
</template>
