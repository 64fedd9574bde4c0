<script setup lang="ts">
/** Words in the size of their count, and a list of what was merged. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import { note } from '@/questions/shared/recipes'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'word_cloud'>
  tally?: TallyOf<'word_cloud'> | null
  answerKey?: KeyOf<'word_cloud'> | null
  mine?: StudentAnswerOf<'word_cloud'> | null
}>()

const MOST_SHOWN = 40
const words = computed(() => {
  const most = props.tally?.words[0]?.count ?? 1
  const right = new Set(props.tally?.right)
  return (props.tally?.words ?? []).slice(0, MOST_SHOWN).map((word) => ({
    ...word,
    right: right.has(word.text),
    size: `${0.85 + 1.15 * Math.sqrt(most > 1 ? (word.count - 1) / (most - 1) : 0)}em`,
  }))
})
const merged = computed(() =>
  words.value
    .filter((word) => word.merged.length)
    .map((word) => [word.text, ...word.merged].join(', '))
    .join('; '),
)
</script>

<template>
  <div>
    <ul
      v-if="words.length"
      class="flex flex-wrap items-baseline gap-x-[0.9em] gap-y-[0.2em] rounded border border-line bg-strip px-[0.6em] py-[0.4em]"
    >
      <li v-for="word in words" :key="word.text" dir="auto">
        <span
          class="figure leading-tight wrap-anywhere"
          :class="word.right && 'rounded bg-lamp px-[0.2em] text-ink'"
          :style="{ fontSize: word.size }"
          ><span v-if="word.right" aria-hidden="true">✓</span> {{ word.text }}</span
        ><span class="ml-[0.25em] text-soft">{{ word.count }}</span>
      </li>
    </ul>
    <p v-else-if="!mine" :class="note">
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
