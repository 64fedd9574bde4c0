<script setup lang="ts">
/** The words, in the form that was chosen, and a list of what was merged. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf, ResultForm } from '@/api/types'
import CountList from '@/questions/shared/CountList.vue'
import ResultStrips from '@/questions/shared/ResultStrips.vue'
import WordsCloud from '@/questions/shared/WordsCloud.vue'
import { note } from '@/questions/shared/recipes'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'word_cloud'>
  tally?: TallyOf<'word_cloud'> | null
  answerKey?: KeyOf<'word_cloud'> | null
  mine?: StudentAnswerOf<'word_cloud'> | null
  form?: ResultForm | null
}>()

const MOST_SHOWN = 40
const words = computed(() => {
  const right = new Set(props.tally?.right)
  return (props.tally?.words ?? []).slice(0, MOST_SHOWN).map((word) => ({
    ...word,
    right: right.has(word.text),
  }))
})
const rows = computed(() =>
  words.value.map(({ text, count, right }) => ({
    id: text,
    text,
    figure: count,
    share: count / Math.max(1, props.tally?.n ?? 1),
    right,
  })),
)
const merged = computed(() =>
  words.value
    .filter((word) => word.merged.length)
    .map((word) => [word.text, ...word.merged].join(', '))
    .join('; '),
)
</script>

<template>
  <div>
    <ResultStrips v-if="words.length && form === 'bars'" :rows="rows" />
    <CountList v-else-if="words.length && form === 'list'" :words="words" />
    <WordsCloud v-else-if="words.length" :words="words" />
    <p v-else-if="!mine" :class="note" :lang="language" dir="auto">
      {{ item.most === 1 ? t('invite_one') : t('invite_up_to', { most: item.most }) }}
    </p>
    <p
      v-if="merged"
      class="mt-[0.4em] text-[max(var(--least,0px),0.8em)] text-soft"
      :lang="language"
      dir="auto"
    >
      {{ t('counted_as_one', { words: merged }) }}
    </p>
    <p v-if="answerKey" class="mt-[0.5em]">
      <span aria-hidden="true">✓</span> <b :lang="language" dir="auto">{{ common('right_head') }}</b>
      {{ answerKey.accepts.join(' · ') }}
    </p>
    <p v-if="mine" class="mt-[0.3em]" dir="auto" :lang="language">
      {{ t('your_words', { words: mine.words.join(', ') }) }}
    </p>
  </div>
</template>
