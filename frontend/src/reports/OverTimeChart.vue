<script setup lang="ts">
/** A chart of what the table below it says, for who would rather look: fetched when it is wanted, and remembered. */
import { useLocalStorage } from '@vueuse/core'
import { computed, defineAsyncComponent } from 'vue'
import type { ClassResults } from '@/api/types'
import { linesOf, MOST_TOPICS } from './chartLines'

const props = defineProps<{ results: ClassResults['results']; whole: string }>()
const ShareChart = defineAsyncComponent(() => import('./ShareChart.vue'))
const shown = useLocalStorage('lantern.charts', false)
const lines = computed(() => linesOf(props.results, props.whole))
const moments = computed(() => props.results.sessions.map((one) => one.at))
</script>

<template>
  <section
    v-if="moments.length > 1"
    class="rounded border border-rule bg-sheet px-4.5 py-3.5"
    aria-labelledby="chart"
  >
    <div class="flex flex-wrap items-baseline gap-x-5">
      <h2 id="chart" class="text-lg">Over time</h2>
      <button
        type="button"
        class="text-[15px] font-bold text-tide hover:underline print:hidden"
        :aria-expanded="shown"
        @click="shown = !shown"
      >
        {{ shown ? 'Put the chart away' : 'Show it as a chart' }}
      </button>
    </div>
    <template v-if="shown">
      <p class="pb-2 text-[15px] text-slate">
        Share right, session by session: {{ whole.toLowerCase() }}, and up to {{ MOST_TOPICS }} topics that
        were asked more than once, the weakest first. The table has the same figures, and all topics.
      </p>
      <ShareChart
        :moments="moments"
        :lines="lines"
        label="Share right over time, as lines. The table “By topic, and over time” has the same figures."
      />
    </template>
  </section>
</template>
