<script setup lang="ts">
/** The questions, hardest first, each with the wrong answer that was chosen most. */
import { computed } from 'vue'
import { counted, percent } from '@/composables/format'
import LineText from '@/questions/shared/LineText.vue'
import QuestionCounts from './QuestionCounts.vue'
import type { QuestionReport, SessionReport } from '@/api/types'

const props = defineProps<{ report: SessionReport['report']; hardest: string[] }>()

const byId = computed(() => new Map(props.report.questions.map((question) => [question.item, question])))
const scored = computed(() => props.hardest.map((id) => byId.value.get(id)!))
const others = computed(() =>
  props.report.questions.filter((question) => !props.hardest.includes(question.item)),
)

function mostWrong(question: QuestionReport): string {
  const wrong = question.common_wrong
  if (!wrong) return question.answered ? 'nobody chose a wrong answer' : 'nobody answered'
  return `${wrong.count} of ${question.answered} answered ${wrong.text}`
}

function sortOf(question: QuestionReport): string {
  if (question.note) return question.note.sentence
  return question.scored ? 'nobody answered' : `opinion, ${counted(question.answered, 'answer')}`
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4.5 py-3.5">
    <h2 class="mb-2 text-lg">Hardest first</h2>
    <ol>
      <li v-for="question in scored" :key="question.item" class="border-t border-rule py-2.5">
        <details>
          <summary class="flex gap-3">
            <span class="w-5 shrink-0 font-bold">{{ question.number }}</span>
            <span class="min-w-0 grow">
              <LineText class="block wrap-anywhere" :text="question.title" />
              <LineText class="block text-[15px] text-slate" :text="mostWrong(question)" />
              <span class="mt-1.5 block h-1.5 bg-mist"
                ><span class="block h-full bg-lamp" :style="{ width: `${question.share! * 100}%` }"
              /></span>
            </span>
            <span class="figure w-14 shrink-0 text-right text-lg">{{ percent(question.share!) }}</span>
          </summary>
          <QuestionCounts :question="question" />
        </details>
      </li>
      <li v-for="question in others" :key="question.item" class="border-t border-rule py-2.5">
        <details>
          <summary class="flex gap-3">
            <span class="w-5 shrink-0 font-bold">{{ question.number }}</span>
            <span class="min-w-0 grow">
              <LineText class="block wrap-anywhere" :text="question.title" />
              <span class="block text-[15px] text-slate">
                {{ sortOf(question) }}
              </span>
            </span>
          </summary>
          <QuestionCounts :question="question" />
        </details>
      </li>
    </ol>
    <p class="border-t border-rule pt-2.5 text-[15px] text-slate">Open a line to see every answer’s count.</p>
  </section>
</template>
