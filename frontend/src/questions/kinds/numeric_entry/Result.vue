<script setup lang="ts">
/** All numbers as dots on a line; what counts as right lies in the light. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf, ResultForm } from '@/api/types'
import CountList from '@/questions/shared/CountList.vue'
import SpreadLine from '@/questions/shared/SpreadLine.vue'
import { plainNumber, roundNumber } from '@/questions/shared/numbers'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'numeric_entry'>
  tally?: TallyOf<'numeric_entry'> | null
  answerKey?: KeyOf<'numeric_entry'> | null
  mine?: StudentAnswerOf<'numeric_entry'> | null
  form?: ResultForm | null
}>()

const values = computed(() =>
  (props.tally?.values ?? []).map((row) => ({ value: Number(row.value), count: row.count })),
)
const span = computed(() =>
  props.answerKey ? { low: Number(props.answerKey.low), high: Number(props.answerKey.high) } : null,
)
const listed = computed(() =>
  values.value.map(({ value, count }) => ({
    text: roundNumber(value),
    count,
    right: !!span.value && value >= span.value.low && value <= span.value.high,
  })),
)
const isDrawn = computed(() => values.value.length > 0 || !!props.answerKey)
const right = computed(() => {
  const { low, high, value } = props.answerKey ?? { low: '0', high: '0', value: null }
  const unit = props.item.unit ? ` ${props.item.unit}` : ''
  if (low === high) return plainNumber(low) + unit
  const range = common('range', { low: plainNumber(low), high: plainNumber(high) + unit })
  if (value === null || value === undefined) return range
  return t('range_counts', { value: plainNumber(value) + unit, range })
})
const middle = computed(() => props.tally?.quartiles?.[1])
</script>

<template>
  <div>
    <CountList v-if="form === 'list' && values.length" :words="listed" />
    <SpreadLine v-else-if="isDrawn" :values="values" :span="span" :quartiles="tally?.quartiles ?? null" />
    <p v-else class="rounded border border-line bg-strip px-[0.6em] py-[0.5em]" :lang="language" dir="auto">
      {{ item.unit ? t('type_one_in', { unit: item.unit }) : t('type_one') }}
    </p>
    <p v-if="answerKey" class="mt-[0.5em]">
      <span aria-hidden="true">✓</span> <b :lang="language" dir="auto">{{ common('right_head') }}</b>{{ ' '
      }}<bdi :lang="language">{{ right }}</bdi>
    </p>
    <p v-if="middle !== undefined" class="mt-[0.3em] text-soft" :lang="language" dir="auto">
      {{ common('middle_answer', { value: roundNumber(middle) + (item.unit ? ` ${item.unit}` : '') }) }}
    </p>
    <p v-if="mine" class="mt-[0.3em]" :lang="language" dir="auto">
      {{ common('your_answer_is', { text: mine.text }) }}
    </p>
  </div>
</template>
