<script setup lang="ts">
/** The spread on the scale. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import SpreadLine from '@/questions/shared/SpreadLine.vue'
import { plainNumber } from '@/questions/shared/numbers'

const props = defineProps<{
  item: PublicItemOf<'slider'>
  tally?: TallyOf<'slider'> | null
  answerKey?: KeyOf<'slider'> | null
  mine?: StudentAnswerOf<'slider'> | null
}>()

const unit = computed(() => (props.item.unit ? ` ${props.item.unit}` : ''))
const right = computed(() => {
  const { low, high } = props.answerKey ?? { low: 0, high: 0 }
  return (low === high ? plainNumber(low) : `${plainNumber(low)} to ${plainNumber(high)}`) + unit.value
})
</script>

<template>
  <div>
    <SpreadLine
      :values="tally?.values ?? []"
      :span="answerKey ?? null"
      :scale="item"
      :quartiles="tally?.quartiles ?? null"
      :mine="mine?.value ?? null"
    />
    <p
      v-if="item.low_label || item.high_label"
      class="flex justify-between gap-4 text-[max(var(--least,0px),0.85em)] text-soft"
    >
      <span>{{ item.low_label }}</span><span>{{ item.high_label }}</span>
    </p>
    <p v-if="answerKey" class="mt-[0.5em]"><span aria-hidden="true">✓</span> <b>right:</b> {{ right }}</p>
    <p v-if="tally?.quartiles" class="mt-[0.3em] text-soft">
      The middle answer is {{ plainNumber(tally.quartiles[1]) }}{{ unit }}; the middle half lies from
      {{ plainNumber(tally.quartiles[0]) }} to {{ plainNumber(tally.quartiles[2]) }}{{ unit }}.
    </p>
    <p v-if="mine" class="mt-[0.3em]">Your answer: {{ plainNumber(mine.value) }}{{ unit }}</p>
  </div>
</template>
