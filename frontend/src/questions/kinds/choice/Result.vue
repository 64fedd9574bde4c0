<script setup lang="ts">
/** The options as strips; with a tally each strip fills as a bar, with a key the right one gets light. */
import { computed } from 'vue'
import type { StudentAnswerOf, KeyOf, PublicItemOf, TallyOf, ResultForm } from '@/api/types'
import ResultStrips from '@/questions/shared/ResultStrips.vue'

const props = defineProps<{
  item: PublicItemOf<'choice'>
  tally?: TallyOf<'choice'> | null
  answerKey?: KeyOf<'choice'> | null
  /** This student's own answer, on a phone. */
  mine?: StudentAnswerOf<'choice'> | null
  form?: ResultForm | null
}>()

const rows = computed(() =>
  props.item.options.map((option) => {
    const figure = props.tally?.counts.find((row) => row.id === option.id)?.count ?? null
    return {
      ...option,
      figure,
      share: figure !== null && props.tally!.n ? figure / props.tally!.n! : 0,
      right: props.answerKey?.right.includes(option.id) ?? false,
      mine: props.mine?.chosen.includes(option.id) ?? false,
    }
  }),
)
</script>

<template>
  <ResultStrips :rows="rows" :form="form" />
</template>
