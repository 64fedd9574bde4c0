<script setup lang="ts">
/** The answers counted; with the key the right ones first and in the light. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf, ResultForm } from '@/api/types'
import CountList from '@/questions/shared/CountList.vue'
import ResultStrips from '@/questions/shared/ResultStrips.vue'
import WordsCloud from '@/questions/shared/WordsCloud.vue'
import { note } from '@/questions/shared/recipes'
import { MOST_SHOWN } from './counted'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'text_entry'>
  tally?: TallyOf<'text_entry'> | null
  answerKey?: KeyOf<'text_entry'> | null
  mine?: StudentAnswerOf<'text_entry'> | null
  form?: ResultForm | null
}>()

const rows = computed(() => {
  const right = new Set(props.tally?.right ?? [])
  const all = (props.tally?.texts ?? []).map((row) => ({
    id: row.text,
    text: row.text,
    figure: row.count,
    share: props.tally!.n ? row.count / props.tally!.n! : 0,
    right: props.answerKey ? right.has(row.text) : false,
  }))
  return [...all.filter((row) => row.right), ...all.filter((row) => !row.right)].slice(0, MOST_SHOWN)
})
const words = computed(() => rows.value.map(({ text, figure: count, right }) => ({ text, count, right })))
const unlisted = computed(() => {
  const listed = rows.value.reduce((sum, row) => sum + row.figure, 0)
  return (props.tally?.n ?? 0) - listed
})
</script>

<template>
  <div>
    <WordsCloud v-if="rows.length && form === 'words'" :words="words" />
    <CountList v-else-if="rows.length && form === 'list'" :words="words" />
    <ResultStrips v-else-if="rows.length" :rows="rows" />
    <p v-else-if="!answerKey" :class="note" :lang="language" dir="auto">
      {{ t(item.dictation ? 'listen' : 'invite') }}
    </p>
    <p v-if="unlisted > 0" class="mt-[0.4em] text-soft" :lang="language" dir="auto">
      {{ common('count_more', { count: unlisted }) }}
    </p>
    <p v-if="answerKey" class="mt-[0.5em]" dir="auto">
      <span aria-hidden="true">✓</span> <b :lang="language" dir="auto">{{ common('right_head') }}</b>
      {{ answerKey.accepts.slice(0, 4).join(' · ') }}
    </p>
    <p v-if="mine" class="mt-[0.3em]" dir="auto" :lang="language">
      {{ common('your_answer_is', { text: mine.text }) }}
    </p>
  </div>
</template>
