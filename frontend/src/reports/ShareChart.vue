<script setup lang="ts">
/**
 * Shares over time as lines: loaded where somebody wants to look rather than to read. The same figures stand in a table
 * beside it; it is drawn as SVG, so that it prints as it is seen.
 */
import { LineChart } from 'echarts/charts'
import { AriaComponent, GridComponent, LegendComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'
import { computed, useTemplateRef } from 'vue'
import VChart from 'vue-echarts'
import { percent, shortDay } from '@/composables/format'
import type { ShareLine } from './chartLines'
import { t } from './words'

const props = defineProps<{ moments: readonly number[]; lines: readonly ShareLine[]; label: string }>()
use([SVGRenderer, LineChart, GridComponent, LegendComponent, TooltipComponent, AriaComponent])

/** Told apart by their dashes and marks as well as by their colours. */
const LOOKS = [
  { color: '#17252c', type: 'solid', symbol: 'circle' },
  { color: '#a05a00', type: 'solid', symbol: 'rect' },
  { color: '#0f5c63', type: 'dashed', symbol: 'triangle' },
  { color: '#8a2f4f', type: 'dotted', symbol: 'diamond' },
  { color: '#4a5a12', type: 'dashed', symbol: 'rect' },
] as const
const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches

const option = computed(() => ({
  animation: !still,
  aria: { enabled: true },
  textStyle: { fontFamily: 'inherit', color: '#17252c' },
  grid: { left: 48, right: 16, top: 16, bottom: 64 },
  legend: { bottom: 0, itemWidth: 28, itemGap: 18 },
  tooltip: { trigger: 'axis', renderMode: 'richText', valueFormatter: (value: unknown) => told(value) },
  xAxis: { type: 'category', data: props.moments.map(shortDay), axisLabel: { hideOverlap: true } },
  yAxis: { type: 'value', min: 0, max: 1, axisLabel: { formatter: (value: number) => percent(value) } },
  series: props.lines.map((line, at) => {
    const look = LOOKS[at % LOOKS.length]!
    return {
      type: 'line',
      name: line.name,
      data: [...line.shares],
      connectNulls: true,
      symbol: look.symbol,
      symbolSize: 8,
      itemStyle: { color: look.color },
      lineStyle: { color: look.color, type: look.type, width: at ? 2 : 3 },
    }
  }),
}))
const frame = useTemplateRef<HTMLElement>('frame')
/** With it the picture is as wide as the paper it is printed on: it is drawn for the window. */
function scale(): void {
  const svg = frame.value?.querySelector('svg')
  if (svg) svg.setAttribute('viewBox', `0 0 ${svg.getAttribute('width')} ${svg.getAttribute('height')}`)
}
const told = (value: unknown): string => (typeof value === 'number' ? percent(value) : t('not_asked'))
</script>

<template>
  <div ref="frame" class="chart h-72 w-full" role="img" :aria-label="label">
    <VChart :option="option" autoresize aria-hidden="true" @rendered="scale" />
  </div>
</template>

<style scoped>
@media print {
  .chart,
  .chart :deep(x-vue-echarts),
  .chart :deep(div) {
    display: block;
    width: 100% !important;
    height: auto !important;
  }
  .chart :deep(svg) {
    position: static !important;
    width: 100%;
    height: auto;
  }
}
</style>
