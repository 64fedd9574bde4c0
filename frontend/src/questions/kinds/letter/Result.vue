<script setup lang="ts">
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf, ResultForm } from '@/api/types'
import ResultStrips from '@/questions/shared/ResultStrips.vue'
import { ALL } from './letters'

const props = defineProps<{
  item: PublicItemOf<'letter'>
  tally?: TallyOf<'letter'> | null
  answerKey?: KeyOf<'letter'> | null
  mine?: StudentAnswerOf<'letter'> | null
  form?: ResultForm | null
}>()

const rows = computed(() =>
  ALL.slice(0, props.item.letters).map((letter) => {
    const figure = props.tally?.counts.find((row) => row.letter === letter)?.count ?? null
    return {
      id: letter,
      letter,
      figure,
      share: figure !== null && props.tally!.n ? figure / props.tally!.n! : 0,
      right: props.answerKey?.right.includes(letter) ?? false,
      mine: props.mine?.letter === letter,
    }
  }),
)
</script>

<template>
  <ResultStrips :rows="rows" :form="form" />
</template>
