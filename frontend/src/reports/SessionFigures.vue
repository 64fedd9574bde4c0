<script setup lang="ts">
import { computed } from 'vue'
import type { SessionReport } from '@/api/types'
import { percent, score } from '@/composables/format'

const props = defineProps<{ report: SessionReport['report'] }>()

const figures = computed(() => {
  const { report } = props
  return [
    { value: String(report.took_part), label: 'took part' },
    { value: report.mean_share === null ? null : percent(report.mean_share), label: 'right on average' },
    {
      value: report.median_score === null ? null : `${score(report.median_score)} of ${report.top_score}`,
      label: 'middle score',
    },
    {
      value: report.reliability === null ? null : report.reliability.toFixed(2),
      label: 'reliability (alpha)',
    },
  ].filter((figure) => figure.value !== null)
})
const tallest = computed(() => Math.max(1, ...props.report.histogram))
const middle = computed(() => {
  const { median_score: median, top_score: top, histogram } = props.report
  return median === null ? -1 : Math.min(histogram.length - 1, Math.floor((median / top) * histogram.length))
})
const words = computed(
  () =>
    `Scores from 0 to ${props.report.top_score}, in ${props.report.histogram.length} equal steps: ${props.report.histogram.join(', ')} students`,
)
</script>

<template>
  <dl class="flex flex-wrap rounded border border-rule bg-sheet">
    <div
      v-for="figure in figures"
      :key="figure.label"
      class="flex flex-col-reverse border-r border-rule px-6 py-3.5"
    >
      <dt class="text-[15px] text-slate">{{ figure.label }}</dt>
      <dd class="figure text-2xl">{{ figure.value }}</dd>
    </div>
    <div v-if="report.histogram.length" class="flex items-end gap-3 px-6 py-3.5">
      <dt class="text-[15px] text-slate">Scores</dt>
      <dd>
        <div role="img" :aria-label="words" class="flex h-13 items-end gap-1">
          <span
            v-for="(count, index) in report.histogram"
            :key="index"
            class="w-6"
            :class="index === middle ? 'bg-ink' : 'bg-spray'"
            :style="{ height: `${Math.max(2, (count / tallest) * 100)}%` }"
          />
        </div>
      </dd>
    </div>
  </dl>
</template>
