<script setup lang="ts">
/** Who was put to whom, as a matrix. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import ResultMatrix from '@/questions/shared/ResultMatrix.vue'
import { t } from './words'

const props = defineProps<{
  item: PublicItemOf<'match'>
  tally?: TallyOf<'match'> | null
  answerKey?: KeyOf<'match'> | null
  mine?: StudentAnswerOf<'match'> | null
}>()

const place = (one: { left: string; right: string }): string => `${one.left}/${one.right}`
const counts = computed(() =>
  props.tally ? new Map(props.tally.cells.map((cell) => [place(cell), cell.count])) : null,
)
</script>

<template>
  <ResultMatrix
    :rows="item.left"
    :columns="item.right"
    :counts="counts"
    :right="new Set(answerKey?.matched.map(place))"
    :mine="new Set(mine?.matched.map(place))"
    :n="tally?.n ?? 0"
    :caption="t('caption')"
  />
</template>
