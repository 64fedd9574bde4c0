<script setup lang="ts">
/** A student's page: what there is to do, how far they are, and what came of it. */
import { computed, defineAsyncComponent, ref } from 'vue'
import type { Mine, MyWork } from '@/api/types'
import PhoneFrame from '../PhoneFrame.vue'
import { mainButton } from '../recipes'
import { t as common } from '../seated/words'
import { t as ofStudents } from '../words'
import { told } from './told'
import { Refusal } from '@/api/refusal'
import AttemptResult from './AttemptResult.vue'
import BesideClass from './BesideClass.vue'
import OtherWorkList from './OtherWorkList.vue'
import OwnLink from './OwnLink.vue'
import PracticePanel from './PracticePanel.vue'
import { factsOf } from './facts'
import { moment } from './times'
import { t } from './words'

const WorkReview = defineAsyncComponent(() => import('./WorkReview.vue'))
const props = defineProps<{
  work: MyWork
  token: string
  notice: string
  busy: boolean
  fresh: number | null
  practised: Mine | null
}>()
const emit = defineEmits<{
  begin: []
  goOn: [number: number]
  leave: []
  practise: []
  practiseMissed: [number: number]
}>()

const looksAt = ref<number | null>(null)
const name = computed(() => props.work.name || common('guest', { number: props.work.number }))
const isOpen = computed(() => ['open', 'late'].includes(props.work.door))
const isBack = computed(() => props.work.door === 'withdrawn')
const heading = computed(() => {
  if (isBack.value) return t('withdrawn')
  return props.work.title || (props.work.door === 'not_yet' ? t('not_yet') : ofStudents('untitled'))
})
const facts = computed(() => factsOf(props.work))
const attempts = computed(() => [...props.work.attempts].reverse().filter((one) => one.ended_at))
const why = computed(() => (props.work.why_not ? told(new Refusal(props.work.why_not)) : ''))
const label = computed(() => {
  if (props.work.running) return t('go_on')
  return t(props.work.attempts.length ? 'once_more' : 'begin')
})
const when = computed(() => {
  const { door, due, opens, zone } = props.work
  if (door === 'not_yet') return t('opens_at', { when: moment(opens!, zone) })
  if (!due || isBack.value) return ''
  return t(door === 'open' ? 'due_at' : door === 'late' ? 'was_due_at' : 'closed_at', {
    when: moment(due, zone),
  })
})

function main(): void {
  if (props.work.running) emit('goOn', props.work.running)
  else emit('begin')
}
function review(number: number | null): void {
  looksAt.value = number
  scrollTo(0, 0)
}
</script>

<template>
  <PhoneFrame :left="name">
    <WorkReview v-if="looksAt" :token="token" :attempt="looksAt" :title="work.title" @back="review(null)" />
    <template v-else>
      <p v-if="notice" role="alert" class="mb-4 border-s-4 border-lamp bg-sheet px-3 py-2">{{ notice }}</p>
      <h1 class="text-3xl wrap-anywhere" dir="auto">{{ heading }}</h1>
      <p class="mt-1 text-slate">{{ [work.class_name, work.teacher].filter(Boolean).join(' · ') }}</p>
      <p v-if="when" class="mt-3 text-lg" :class="work.door === 'late' && 'font-bold'">{{ when }}</p>
      <p v-if="work.excused && isOpen && !attempts.length" class="mt-2 text-lg">{{ t('excused') }}</p>

      <ul v-if="attempts.length" class="mt-5 space-y-3">
        <AttemptResult
          v-for="one in attempts"
          :key="one.number"
          :attempt="one"
          :work="work"
          :is-fresh="one.number === fresh"
          :busy="busy"
          @review="review(one.number)"
          @practise="emit('practiseMissed', one.number)"
        />
      </ul>
      <BesideClass v-if="work.beside && (!work.asks_first || fresh === null)" :beside="work.beside" />

      <p
        v-if="work.words"
        class="mt-5 border-s-4 border-tide ps-3 text-lg wrap-anywhere whitespace-pre-line"
        dir="auto"
      >
        {{ work.words }}
      </p>
      <ul v-if="isOpen && (work.running || !work.why_not)" class="mt-5 space-y-2 text-lg">
        <li v-for="fact in facts" :key="fact" class="border-s-4 border-rule ps-3">{{ fact }}</li>
      </ul>
      <PracticePanel
        v-if="work.class_name"
        :token="token"
        :busy="busy"
        :practised="practised"
        @practise="emit('practise')"
      />
      <OtherWorkList v-if="work.others?.length" :others="work.others" :zone="work.zone" />
      <OwnLink :link="work.link" :token="token" />
      <button type="button" class="mt-3 min-h-11 font-bold text-tide" @click="emit('leave')">
        {{ t('not_you') }}
      </button>
    </template>
    <template v-if="!looksAt && !isBack" #foot>
      <p v-if="why && !work.running" class="py-2 text-slate" role="status">{{ why }}</p>
      <button v-else-if="isOpen" type="button" :class="mainButton" :disabled="busy" @click="main">
        {{ label }}
      </button>
    </template>
  </PhoneFrame>
</template>
