<script setup lang="ts">
/** One attempt that is over: by what, and its score as far as it may be told. */
import { computed, ref } from 'vue'
import type { MyAttempt, MyWork } from '@/api/types'
import { t as common } from '../seated/words'
import { shortMoment } from './times'
import { t } from './words'

const props = defineProps<{ attempt: MyAttempt; work: MyWork; isFresh: boolean; busy: boolean }>()
const emit = defineEmits<{ review: []; practise: [] }>()
const asked = ref(false)

const HEADS = {
  hand: 'over_hand',
  time: 'over_time',
  due: 'over_due',
  target: 'over_target',
  done: 'over_target',
  desk: 'over_desk',
  end: 'over_desk',
  '': 'over_hand',
} as const
const hides = computed(() => props.work.asks_first && !asked.value && props.attempt.score !== null)
const right = computed(() => Math.round((props.attempt.score ?? 0) * 100) / 100)
const percent = computed(() =>
  Math.round((100 * (props.attempt.score ?? 0)) / Math.max(1, props.attempt.out_of ?? 1)),
)
const counts = computed(
  () => props.attempt.counts && props.work.attempts.length > 1 && props.work.counts !== 'mean',
)
/** Who had all of it right has missed nothing; where no score is told, that is not told either. */
const hasMissed = computed(
  () => props.attempt.review && (props.attempt.score ?? -1) < (props.attempt.out_of ?? 1),
)
const hasScore = computed(() => props.attempt.score !== null && !!props.attempt.out_of)
</script>

<template>
  <li class="rounded border bg-sheet p-4" :class="isFresh ? 'border-s-6 border-lamp' : 'border-rule'">
    <div :role="isFresh ? 'status' : undefined">
      <h2 class="text-xl">{{ t(HEADS[attempt.why]) }}</h2>
      <p class="text-[15px] text-slate">
        {{ t('attempt_number', { number: attempt.number }) }} ·
        {{ shortMoment(attempt.ended_at!, work.zone) }}
        <template v-if="attempt.late"> · {{ t('late') }}</template>
        <template v-if="attempt.answered < attempt.of">
          · {{ t('answered_of', { count: attempt.answered, of: attempt.of }) }}</template
        >
      </p>
    </div>
    <button
      v-if="hides"
      type="button"
      class="mt-3 min-h-11 rounded border border-ink px-4 font-bold"
      @click="asked = true"
    >
      {{ t('show_score') }}
    </button>
    <template v-else>
      <p v-if="hasScore" class="mt-2 flex flex-wrap items-baseline gap-x-4">
        <span v-if="work.score !== 'percent'" class="figure text-3xl">{{
          t('right_of', { count: right, of: attempt.out_of! })
        }}</span>
        <span v-if="work.score !== 'marks'" class="figure text-3xl">{{
          common('score_percent', { percent })
        }}</span>
      </p>
      <p v-if="attempt.missed" class="mt-1">
        {{ t('came_back', { held: attempt.held!, missed: attempt.missed }) }}
      </p>
      <p v-if="attempt.waiting" class="mt-1">{{ t('waiting', { n: attempt.waiting }) }}</p>
      <p v-if="attempt.passed !== null" class="mt-1 font-bold">
        {{ t(attempt.passed ? 'passed' : 'not_passed') }}
      </p>
      <p v-if="counts" class="mt-1">{{ t('this_counts') }}</p>
      <p v-if="isFresh && work.closing" class="mt-3 text-lg wrap-anywhere whitespace-pre-line" dir="auto">
        {{ work.closing }}
      </p>
    </template>
    <div v-if="attempt.review" class="mt-3 flex flex-wrap gap-2">
      <button type="button" class="min-h-11 rounded border border-ink px-4 font-bold" @click="emit('review')">
        {{ common('see_right') }}
      </button>
      <button
        v-if="hasMissed"
        type="button"
        class="min-h-11 rounded border border-ink px-4 font-bold"
        :disabled="busy"
        @click="emit('practise')"
      >
        {{ t('practise_missed') }}
      </button>
    </div>
    <p v-else-if="isFresh && work.told_when" class="mt-2 text-slate">
      {{ t('told_when', { when: shortMoment(work.told_when, work.zone) }) }}
    </p>
  </li>
</template>
