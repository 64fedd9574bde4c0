<script setup lang="ts">
/** A chart of what the table below it says, for who would rather look: fetched when it is wanted, and remembered. */
import { useLocalStorage } from '@vueuse/core'
import { computed, defineAsyncComponent } from 'vue'
import type { ClassResults } from '@/api/types'
import { linesOf, MOST_TOPICS } from './chartLines'
import { t } from './words'

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
      <h2 id="chart" class="text-lg">{{ t('over_time_3') }}</h2>
      <button
        type="button"
        class="text-[15px] font-bold text-tide hover:underline print:hidden"
        :aria-expanded="shown"
        @click="shown = !shown"
      >
        {{ shown ? t('put_the_chart_away') : t('show_it_as_a_chart') }}
      </button>
    </div>
    <template v-if="shown">
      <p class="pb-2 text-[15px] text-slate">
        {{ t('share_right_session_by_session', { whole: whole.toLowerCase(), most_topics: MOST_TOPICS }) }}
      </p>
      <ShareChart :moments="moments" :lines="lines" :label="t('share_right_over_time_as_lines')" />
    </template>
  </section>
</template>
