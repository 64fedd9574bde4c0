<script setup lang="ts">
/** For each statement how often each step was chosen, the mean as a mark, and the spread. */
import { computed } from 'vue'
import type { PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import { plainNumber } from '@/questions/shared/numbers'
import { t as common } from '@/questions/shared/words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'rating_scale'>
  tally?: TallyOf<'rating_scale'> | null
  mine?: StudentAnswerOf<'rating_scale'> | null
}>()

const rows = computed(() =>
  props.item.statements.map((statement) => {
    const rated = props.tally?.statements.find((one) => one.id === statement.id)
    const most = Math.max(1, ...(rated?.counts ?? []))
    return {
      ...statement,
      rated: rated?.n ? rated : null,
      bars: rated?.counts.map((count) => ({ count, height: `${(count / most) * 100}%` })) ?? [],
      at: rated?.mean ? `${((rated.mean - 1) / (props.item.steps - 1)) * 100}%` : null,
      mine: props.mine?.ratings.find((one) => one.statement === statement.id)?.step,
    }
  }),
)
</script>

<template>
  <div>
    <ul class="grid gap-[0.5em]">
      <li v-for="row in rows" :key="row.id" class="rounded border border-line bg-strip px-[0.6em] py-[0.4em]">
        <div class="flex flex-wrap items-baseline gap-x-[1em]">
          <span class="prose grow leading-snug" dir="auto" v-html="row.html" />
          <span v-if="row.rated" class="whitespace-nowrap"
            ><b class="figure">{{ plainNumber(Number(row.rated.mean!.toFixed(2))) }}</b>
            <span v-if="row.rated.spread !== null" class="text-[max(var(--least,0px),0.8em)] text-soft">
              ± {{ plainNumber(Number(row.rated.spread!.toFixed(2))) }}, n = {{ row.rated.n }}</span
            ></span
          >
        </div>
        <div v-if="row.rated" class="mt-[0.2em] flex h-[1.6em] items-end gap-[0.2em]" aria-hidden="true">
          <span
            v-for="(bar, index) in row.bars"
            :key="index"
            class="min-h-[2px] flex-1 bg-bar"
            :style="{ height: bar.height }"
          />
        </div>
        <div v-if="row.at" class="relative h-[0.5em] border-t border-front" aria-hidden="true">
          <span
            class="absolute -top-[0.25em] size-[0.5em] -translate-x-1/2 rounded-full rtl:translate-x-1/2 bg-front"
            :style="{ insetInlineStart: row.at }"
          />
        </div>
        <p
          v-if="row.mine"
          class="text-[max(var(--least,0px),0.85em)] underline decoration-2 underline-offset-4"
          :lang="language"
          dir="auto"
        >
          {{ common('yours', { text: row.mine }) }}
        </p>
      </li>
    </ul>
    <p class="mt-[0.3em] flex justify-between gap-4 text-[max(var(--least,0px),0.8em)] text-soft">
      <span>1: {{ item.low_label }}</span
      ><span>{{ item.steps }}: {{ item.high_label }}</span>
    </p>
  </div>
</template>
