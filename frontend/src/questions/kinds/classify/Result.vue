<script setup lang="ts">
/** What was put where, as a matrix. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import ResultMatrix from '@/questions/shared/ResultMatrix.vue'
import { t } from './words'

const props = defineProps<{
  item: PublicItemOf<'classify'>
  tally?: TallyOf<'classify'> | null
  answerKey?: KeyOf<'classify'> | null
  mine?: StudentAnswerOf<'classify'> | null
}>()

const place = (one: { member: string; group: string }): string => `${one.member}/${one.group}`
const counts = computed(() =>
  props.tally ? new Map(props.tally.cells.map((cell) => [place(cell), cell.count])) : null,
)
</script>

<template>
  <ResultMatrix
    :rows="item.members"
    :columns="item.groups"
    :counts="counts"
    :right="new Set(answerKey?.placed.map(place))"
    :mine="new Set(mine?.placed.map(place))"
    :n="tally?.n ?? 0"
    :caption="t('caption')"
  />
</template>
