<script setup lang="ts">
import { computed } from 'vue'
import type { SessionReport } from '@/api/types'
import { percent, score } from '@/composables/format'
import { roundNumber } from '@/questions/shared/numbers'
import { t } from './words'

const props = defineProps<{ report: SessionReport['report'] }>()

const figures = computed(() => {
  const { report } = props
  return [
    { value: String(report.took_part), label: took.value },
    { value: report.mean_share === null ? null : percent(report.mean_share), label: t('right_on_average') },
    {
      value:
        report.median_score === null
          ? null
          : t('of_5', { median_score: score(report.median_score), top_score: report.top_score }),
      label: t('middle_score'),
    },
    { value: report.spread === null ? null : score(report.spread), label: t('spread_of_scores') },
    {
      value: report.median_took === null ? null : `${Math.round(report.median_took / 1000)} s`,
      label: t('middle_time_of_an_answer'),
    },
  ].filter((figure) => figure.value !== null)
})
const took = computed(() => {
  const silent = props.report.never_answered
  return silent ? t('took_part_without_an_answer', { silent }) : t('took_part')
})
const tallest = computed(() => Math.max(1, ...props.report.histogram))
const middle = computed(() => {
  const { median_score: median, top_score: top, histogram } = props.report
  if (median === null) return -1
  const step = hasBarEach.value ? median : (median / top) * histogram.length
  return Math.min(histogram.length - 1, Math.floor(step + 1e-9))
})
const hasBarEach = computed(() => props.report.histogram.length === props.report.top_score + 1)
/** The ends of the picture, as they stand under it. */
const nameOf = (bar: number): string => {
  if (hasBarEach.value) return String(bar)
  const width = props.report.top_score / props.report.histogram.length
  return t('low_to_high', { low: roundNumber(bar * width), high: roundNumber((bar + 1) * width) })
}
const words = computed(() => {
  const filled = props.report.histogram.map((count, bar) => `${nameOf(bar)}: ${count}`)
  return t('students_by_score_from_0_to', { top_score: props.report.top_score, bars: filled.join(', ') })
})
</script>

<template>
  <dl class="rounded border border-rule bg-sheet max-sm:grid max-sm:grid-cols-2 sm:flex sm:flex-wrap">
    <div
      v-for="figure in figures"
      :key="figure.label"
      class="flex flex-col-reverse justify-end border-rule px-6 py-3.5 max-sm:border-b max-sm:px-4.5 max-sm:odd:border-e max-sm:[&:nth-last-child(2):nth-child(odd)]:col-span-2 sm:border-e"
    >
      <dt class="text-[15px] text-slate">{{ figure.label }}</dt>
      <dd class="figure text-2xl">{{ figure.value }}</dd>
    </div>
    <div
      v-if="report.histogram.length"
      class="col-span-2 flex min-w-0 items-end gap-3 px-6 py-3.5 max-sm:px-4.5"
    >
      <dt class="text-[15px] text-slate">{{ t('scores') }}</dt>
      <dd class="min-w-0">
        <div role="img" :aria-label="words" class="flex h-13 items-end gap-1">
          <span
            v-for="(count, index) in report.histogram"
            :key="index"
            :title="`${nameOf(index)}: ${count}`"
            class="w-6 max-w-6 min-w-1 shrink"
            :class="index === middle ? 'bg-ink' : 'bg-spray'"
            :style="{ height: `${Math.max(2, (count / tallest) * 100)}%` }"
          />
        </div>
        <div class="mt-0.5 flex justify-between text-xs text-slate tabular-nums" aria-hidden="true">
          <span>0</span><span>{{ report.top_score }}</span>
        </div>
      </dd>
    </div>
  </dl>
</template>
