<script setup lang="ts">
/** The lines by mean place (as an opinion by Borda count); with the key, in the right order. */
import { computed } from 'vue'
import type { KeyOf, PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import ResultStrips from '@/questions/shared/ResultStrips.vue'
import { plainNumber } from '@/questions/shared/numbers'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'order'>
  tally?: TallyOf<'order'> | null
  answerKey?: KeyOf<'order'> | null
  mine?: StudentAnswerOf<'order'> | null
}>()

const rows = computed(() => {
  const placings = new Map(props.tally?.placings.map((placing) => [placing.id, placing]))
  const ranked = props.tally?.n ? props.tally.placings.map((placing) => placing.id) : null
  const order = props.answerKey?.order ?? ranked ?? props.item.lines.map((line) => line.id)
  const count = order.length
  return order.map((id, index) => {
    const placing = props.tally?.n ? placings.get(id) : undefined
    const hits = props.answerKey && placing ? placing.places[index]! / props.tally!.n! : 0
    const given = props.mine ? props.mine.order.indexOf(id) + 1 : 0
    return {
      id,
      letter: props.answerKey || ranked ? String(index + 1) : undefined,
      html: props.item.lines.find((line) => line.id === id)?.html ?? '',
      figure: placing ? plainNumber(Number(placing.mean_place.toFixed(1))) : null,
      share: props.answerKey ? hits : placing ? (count - placing.mean_place) / Math.max(1, count - 1) : 0,
      lit: !!props.answerKey && !!placing,
      note: given ? t('your_place', { place: given }) : undefined,
    }
  })
})
</script>

<template>
  <div>
    <p v-if="item.first_label" class="text-[max(var(--least,0px),0.85em)] text-soft">
      {{ item.first_label }}
    </p>
    <ResultStrips :rows="rows" />
    <p v-if="item.last_label" class="text-[max(var(--least,0px),0.85em)] text-soft">{{ item.last_label }}</p>
    <p v-if="answerKey" class="mt-[0.5em]" :lang="language" dir="auto">
      <span aria-hidden="true">✓</span> {{ t('right_order') }}
      <template v-if="tally?.n">{{ t('bars') }}</template>
    </p>
    <p v-if="tally?.n" class="mt-[0.3em] text-soft" :lang="language" dir="auto">{{ t('mean_at_end') }}</p>
  </div>
</template>
