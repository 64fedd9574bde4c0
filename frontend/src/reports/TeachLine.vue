<script setup lang="ts">
/** A question among what to teach again: its share, one sentence, and behind it what was answered. */
import { computed, ref } from 'vue'
import { percent } from '@/composables/format'
import type { QuestionReport } from '@/api/types'
import LineText from '@/questions/shared/LineText.vue'
import QuestionCounts from './QuestionCounts.vue'
import { namesShown } from './useReportView'
import { t } from './words'
import { t as common } from '@/ui/words'
import { told } from '@/told'

const props = defineProps<{
  session: number
  question: QuestionReport
  /** The sentence that its figures give; or, of a question that is not scored, why. */
  advice: string
  /** The advice says it already, or there is nothing to say. */
  withoutWrong?: boolean
  /** By seat. */
  names: ReadonlyMap<number, string>
}>()

/** What is behind it is drawn once it is wanted: there are fifty of these, with hundreds of answers. */
const isOpen = ref(false)

const votes = computed(() => {
  const both = props.question.votes
  return both ? t('first_vote_second', { first: percent(both.before), second: percent(both.after) }) : ''
})
const mostWrong = computed(() => {
  const { common_wrong: wrong, answered } = props.question
  if (props.withoutWrong || !answered) return ''
  return wrong
    ? t('of_answered', { count: wrong.count, answered, text: told(wrong.text) })
    : t('nobody_chose_a_wrong_answer')
})
const whoWasWrong = computed(() => {
  const wrong = props.question.common_wrong
  if (!wrong || !namesShown.value || !wrong.by.length) return null
  return { text: told(wrong.text), names: wrong.by.map((seat) => props.names.get(seat)).join(', ') }
})
</script>

<template>
  <li class="border-t border-rule py-2.5">
    <details @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
      <summary class="flex gap-3">
        <span class="w-5 shrink-0 font-bold">{{ question.number }}</span>
        <span class="min-w-0 grow">
          <LineText class="block wrap-anywhere" :text="question.title || common('asked_aloud')" />
          <span class="block text-[15px]"><LineText :text="advice" /></span>
          <span v-if="mostWrong || votes" class="block text-[15px] text-slate"
            ><LineText :text="mostWrong" /> {{ votes }}</span
          >
          <span v-if="question.share !== null" class="mt-1.5 block h-1.5 bg-mist"
            ><span class="block h-full bg-lamp" :style="{ width: `${question.share * 100}%` }"
          /></span>
        </span>
        <span v-if="question.share !== null" class="figure w-14 shrink-0 text-end text-lg">{{
          percent(question.share)
        }}</span>
      </summary>
      <template v-if="isOpen">
        <div v-if="whoWasWrong" class="mt-2 ms-8 text-[15px] text-slate">
          <LineText :text="`${whoWasWrong.text}: `" />{{ whoWasWrong.names }}
        </div>
        <div v-if="question.near.length" class="mt-2 ms-8 text-[15px]">
          <p class="text-slate">{{ t('nearly_right') }}</p>
          <ul>
            <li v-for="miss in question.near" :key="miss.text" class="wrap-anywhere" dir="auto">
              {{ common('quoted', { text: miss.text }) }}, {{ common('n_answers', { n: miss.count }) }}.
              {{ told(miss.why) }}
            </li>
          </ul>
        </div>
        <QuestionCounts :question="question" />
        <p class="mt-2 ms-8 text-[15px]">
          <RouterLink
            :to="`/sessions/${session}/questions/${question.item}`"
            class="font-bold text-tide hover:underline"
            >{{ t('all_of_question_who_answered_what', { number: question.number }) }}</RouterLink
          >
          <RouterLink
            v-if="question.takes_hand && question.answered"
            :to="`/sessions/${session}/marking`"
            class="ms-5 font-bold text-tide hover:underline"
            >{{ t('mark_by_hand') }}</RouterLink
          >
        </p>
      </template>
    </details>
  </li>
</template>
