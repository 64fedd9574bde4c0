<script setup lang="ts">
/** What was right in what one was asked, question by question, beside one's own answer. */
import { ref } from 'vue'
import type { Mine, Reviewed } from '@/api/types'
import QuestionBody from '../QuestionBody.vue'
import { toldOf } from '../../told'
import type { SeatLink } from '../useSeat'
import { t } from './words'

const props = defineProps<{
  own: Pick<NonNullable<SeatLink['own']>, 'review'>
  mine: Mine | null
  marks: boolean
}>()
const found = ref<Reviewed[] | null>(null)
const error = ref('')

async function fetchAll(): Promise<void> {
  error.value = ''
  try {
    found.value = await props.own.review()
  } catch (failure) {
    error.value = toldOf(failure)
  }
}

/** As the phone says how an answer went while the session runs. */
const mineIn = (one: Reviewed): Mine => ({
  ...props.mine!,
  ask: one.shown.ask,
  answer: one.answer,
  mark: one.mark,
  forgiven: one.forgiven,
  left_out: [],
  gained: null,
  points: null,
  place: null,
})

void fetchAll()
</script>

<template>
  <div>
    <h1 class="text-3xl">{{ t('what_was_right') }}</h1>
    <p v-if="error" role="alert" class="mt-3 text-wrong">{{ error }}</p>
    <p v-else-if="found && !found.length" class="mt-3 text-lg">{{ t('nothing_to_see') }}</p>
    <ol v-if="mine" class="divide-y divide-rule">
      <li v-for="(one, index) in found ?? []" :key="one.shown.ask ?? index" class="py-6">
        <h2 class="mb-2 text-lg">{{ t('question_number', { number: index + 1 }) }}</h2>
        <QuestionBody
          :shown="one.shown"
          :mine="mineIn(one)"
          :answer="one.answer"
          stage="told"
          :now="0"
          :marks="marks"
        />
        <p v-if="!one.answer" class="mt-2 text-slate">{{ t('your_answer_missing') }}</p>
      </li>
    </ol>
  </div>
</template>
