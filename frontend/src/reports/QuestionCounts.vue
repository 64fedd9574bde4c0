<script setup lang="ts">
/** Every answer's count, and the measures that say more than counts. */
import LineText from '@/questions/shared/LineText.vue'
import { roundNumber } from '@/questions/shared/numbers'
import type { QuestionReport } from '@/api/types'
import AnswerWhy from './AnswerWhy.vue'
import EarlierRounds from './EarlierRounds.vue'
import QuestionCorrections from './QuestionCorrections.vue'
import { t } from './words'
import { told } from '@/told'

defineProps<{ question: QuestionReport }>()
</script>

<template>
  <div class="mt-2 ms-8 text-[15px]">
    <p v-if="question.by" class="text-slate">{{ t('written_by', { by: question.by }) }}</p>
    <table class="w-full">
      <tbody>
        <tr v-for="(count, index) in question.counts" :key="index" :class="count.right && 'font-bold'">
          <component
            :is="count.label ? 'th' : 'td'"
            :scope="count.label ? 'row' : undefined"
            class="max-w-40 py-0.5 pe-2 text-start align-top font-normal wrap-anywhere"
            :class="count.part && 'whitespace-nowrap'"
          >
            <LineText :text="count.label" />
          </component>
          <td class="py-0.5 wrap-anywhere" dir="auto">
            <span class="flex flex-wrap items-baseline gap-x-2">
              <span
                ><LineText :text="told(count.words) || count.text" />{{
                  count.right ? ` ${t('right_3')}` : ''
                }}</span
              >
              <AnswerWhy v-if="count.given && count.right !== null" :question="question" :count="count" />
            </span>
          </td>
          <td class="w-10 py-0.5 text-end align-top tabular-nums">{{ count.count }}</td>
        </tr>
      </tbody>
    </table>
    <EarlierRounds :question="question" />
    <QuestionCorrections :question="question" />
    <dl
      v-if="question.measures.length"
      class="mt-2 grid grid-cols-[1fr_auto] gap-x-4 border-t border-rule pt-1"
    >
      <template v-for="measure in question.measures" :key="measure.name.code + measure.of">
        <dt class="text-slate">
          {{ told(measure.name) }}<template v-if="measure.of">, <LineText :text="measure.of" /></template>
        </dt>
        <dd class="text-end tabular-nums">{{ roundNumber(measure.value) }}</dd>
      </template>
    </dl>
  </div>
</template>
