<script setup lang="ts">
/** The spread on the scale. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf, ResultForm } from '@/api/types'
import CountList from '@/questions/shared/CountList.vue'
import SpreadLine from '@/questions/shared/SpreadLine.vue'
import { plainNumber } from '@/questions/shared/numbers'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'slider'>
  tally?: TallyOf<'slider'> | null
  answerKey?: KeyOf<'slider'> | null
  mine?: StudentAnswerOf<'slider'> | null
  form?: ResultForm | null
}>()

const listed = computed(() =>
  (props.tally?.values ?? []).map(({ value, count }) => ({
    text: plainNumber(value),
    count,
    right: !!props.answerKey && value >= props.answerKey.low && value <= props.answerKey.high,
  })),
)
const unit = computed(() => (props.item.unit ? ` ${props.item.unit}` : ''))
const right = computed(() => {
  const { low, high } = props.answerKey ?? { low: 0, high: 0 }
  const range = { low: plainNumber(low), high: plainNumber(high) + unit.value }
  return low === high ? range.high : common('range', range)
})
const spread = computed(() => {
  const [low, middle, high] = (props.tally?.quartiles ?? []).map(plainNumber)
  return middle === undefined
    ? ''
    : t('middle_half', { low: low!, middle: middle + unit.value, high: high! + unit.value })
})
</script>

<template>
  <div>
    <CountList v-if="form === 'list' && listed.length" :words="listed" />
    <SpreadLine
      v-else
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
    <p v-if="answerKey" class="mt-[0.5em]">
      <span aria-hidden="true">✓</span> <b :lang="language" dir="auto">{{ common('right_head') }}</b>{{ ' '
      }}<bdi :lang="language">{{ right }}</bdi>
    </p>
    <p v-if="spread" class="mt-[0.3em] text-soft" :lang="language" dir="auto">
      {{ spread }}
    </p>
    <p v-if="mine" class="mt-[0.3em]" :lang="language" dir="auto">
      {{ common('your_answer_is', { text: plainNumber(mine.value) + unit }) }}
    </p>
  </div>
</template>
