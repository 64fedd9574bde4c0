<script setup lang="ts">
/** The mean share of each option. */
import { computed } from 'vue'
import type { PublicItemOf, StudentAnswerOf, TallyOf } from '@/api/types'
import ResultStrips from '@/questions/shared/ResultStrips.vue'
import { LETTERS } from '@/questions/shared/lines'
import { plainNumber } from '@/questions/shared/numbers'
import { t as common } from '@/questions/shared/words'
import { t } from './words'
import { language } from '@/words'

const props = defineProps<{
  item: PublicItemOf<'point_split'>
  tally?: TallyOf<'point_split'> | null
  mine?: StudentAnswerOf<'point_split'> | null
}>()

const rows = computed(() =>
  props.item.options.map((option, index) => {
    const portion = props.tally?.portions.find((one) => one.id === option.id)
    const own = props.mine?.portions.find((one) => one.option === option.id)
    return {
      ...option,
      letter: LETTERS[index],
      figure: portion ? plainNumber(Number(portion.mean.toFixed(1))) : null,
      share: portion?.share ?? 0,
      note: own ? common('yours', { text: own.points }) : undefined,
    }
  }),
)
</script>

<template>
  <div>
    <ResultStrips :rows="rows" />
    <p class="mt-[0.3em] text-soft" :lang="language" dir="auto">
      {{ t(tally ? 'mean_points' : 'invite', { total: item.total }) }}
    </p>
  </div>
</template>
