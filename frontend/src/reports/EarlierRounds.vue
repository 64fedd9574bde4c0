<script setup lang="ts">
/** How a question was answered in its other rounds: before it was asked again, or before its answers were cleared. */
import { computed } from 'vue'
import { percent } from '@/composables/format'
import type { QuestionReport } from '@/api/types'
import LineText from '@/questions/shared/LineText.vue'
import { t } from './words'
import { told } from '@/told'
import { t as common } from '@/ui/words'

const props = defineProps<{ question: QuestionReport }>()

const rounds = computed(() =>
  props.question.earlier.map((one) => ({
    ...one,
    head: [
      t('round', { round: one.round }),
      common('n_answers', { n: one.answered }),
      one.share === null ? '' : percent(one.share),
      one.set_aside ? t('set_aside') : '',
    ]
      .filter(Boolean)
      .join(' · '),
    given: one.counts.filter((count) => count.count),
  })),
)
</script>

<template>
  <div v-if="rounds.length" class="mt-2 border-t border-rule pt-1.5">
    <p class="text-slate">{{ t('other_rounds_round_counts', { round: question.round }) }}</p>
    <details v-for="round in rounds" :key="round.round">
      <summary>{{ round.head }}</summary>
      <ul class="ms-5">
        <li v-for="count in round.given" :key="count.label + count.text" class="flex gap-2">
          <LineText :text="count.label" />
          <LineText class="min-w-0 grow wrap-anywhere" :text="told(count.words) || count.text" />
          <span v-if="count.right">{{ t('right_3') }}</span>
          <span class="tabular-nums">{{ count.count }}</span>
        </li>
      </ul>
    </details>
  </div>
</template>
