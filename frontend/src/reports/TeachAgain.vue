<script setup lang="ts">
/** What to teach again: topics where there are any, questions, hardest first, each with a sentence of its figures. */
import { computed, ref } from 'vue'
import { percent } from '@/composables/format'
import type { QuestionReport, SessionReport } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'
import AgainDialog from './AgainDialog.vue'
import TeachLine from './TeachLine.vue'
import { t } from './words'
import { told } from '@/told'

const props = defineProps<{
  session: number
  report: SessionReport['report']
  teach: SessionReport['teach']
  /** Of the class. */
  groupNames: readonly string[]
}>()
const isAsking = ref(false)

const byId = computed(() => new Map(props.report.questions.map((question) => [question.item, question])))
const advice = computed(() => new Map(props.teach.questions.map((one) => [one.item, one.advice])))
const adviceOn = (item: string): string => {
  const found = advice.value.get(item)
  return found ? told(found) : ''
}
/** Advice in which the wrong answer is named. */
const NAMING = 'advice_one_mistake'
const names = computed(() => new Map(props.report.people.map((person) => [person.seat, person.name])))
const lines = (ids: readonly string[]): QuestionReport[] => ids.map((id) => byId.value.get(id)!)
const inNoTopic = computed(() => {
  const placed = new Set(props.teach.topics.flatMap((topic) => topic.questions))
  return props.teach.questions.map((one) => one.item).filter((id) => !placed.has(id))
})
const groups = computed(() => [
  ...props.teach.topics.map((topic) => ({
    name: topic.topic,
    share: topic.share,
    advice: told(topic.advice),
    questions: lines(topic.questions),
  })),
  {
    name: props.teach.topics.length && inNoTopic.value.length ? t('in_no_topic') : '',
    share: null,
    advice: '',
    questions: lines(inNoTopic.value),
  },
])

function sortOf(question: QuestionReport): string {
  if (question.waiting) return t('answers_without_a_mark_yet_2', { n: question.waiting })
  if (question.note) return told(question.note)
  return question.scored ? t('nobody_answered') : t('opinion_answers', { n: question.answered })
}
</script>

<template>
  <section class="rounded border border-rule bg-sheet px-4.5 py-3.5" aria-labelledby="teach">
    <div class="flex flex-wrap items-center gap-x-4">
      <h2 id="teach" class="grow text-lg">{{ t('what_to_teach_again') }}</h2>
      <UiButton v-if="teach.questions.length" size="small" @click="isAsking = true">{{
        t('ask_it_again_2')
      }}</UiButton>
    </div>
    <p class="mb-2 text-[15px] text-slate">
      {{ t('hardest_first_open_a_line') }}
    </p>
    <template v-for="group in groups" :key="group.name">
      <div v-if="group.name" class="mt-3 border-t-2 border-ink pt-2">
        <h3 class="flex gap-3 text-base">
          <span class="min-w-0 grow wrap-anywhere" dir="auto">{{ group.name }}</span>
          <span v-if="group.share !== null" class="figure text-lg">{{ percent(group.share) }}</span>
        </h3>
        <p v-if="group.advice" class="pb-1 text-[15px]">{{ group.advice }}</p>
      </div>
      <ol>
        <TeachLine
          v-for="question in group.questions"
          :key="question.item"
          :session="session"
          :question="question"
          :advice="adviceOn(question.item)"
          :without-wrong="advice.get(question.item)?.code === NAMING"
          :names="names"
        />
      </ol>
    </template>
    <ol>
      <TeachLine
        v-for="question in lines(teach.untold)"
        :key="question.item"
        :session="session"
        :question="question"
        :advice="sortOf(question)"
        without-wrong
        :names="names"
      />
    </ol>
    <AgainDialog
      v-if="isAsking"
      :session="session"
      :title="report.title"
      :questions="lines(teach.questions.map((one) => one.item))"
      :groups="groupNames"
      @close="isAsking = false"
    />
  </section>
</template>
