<script setup lang="ts">
/** A student at work on their own paper: begin, go through it, look it over, hand it in. */
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import type { GameChosen, GameName, StudentAnswer } from '@/api/types'
import { clockTime } from '@/composables/format'
import { viewsOf } from '@/games/registry'
import { registry } from '@/questions/registry'
import { provideReading } from '@/questions/shared/reading'
import PhoneFrame from '../../PhoneFrame.vue'
import QuestionBody from '../QuestionBody.vue'
import SeatHead from '../SeatHead.vue'
import { mainButton } from '../../recipes'
import StoppedView from '../StoppedView.vue'
import type { PaperLink } from '../useSeat'
import { t as common } from '../words'
import NoteToTeacher from '../NoteToTeacher.vue'
import BeginView from './BeginView.vue'
import HandedIn from './HandedIn.vue'
import LookOver from './LookOver.vue'
import { placesOf } from './papers'
import PaperStrip from './PaperStrip.vue'
import ReviewView from './ReviewView.vue'
import { same } from './same'
import { t } from './words'
import { told } from '../../told'

const OwnLight = defineAsyncComponent(() => import('../light/OwnLight.vue'))
const OwnBoard = defineAsyncComponent(() => import('../OwnBoard.vue'))
const PlayedRules = defineAsyncComponent(() => import('../PlayedRules.vue'))
const props = defineProps<{ link: PaperLink; name: string; seat: number; token: string }>()
const { view, mine, time, status, answer, state, refusal, send, read, own } = props.link
const { paper, notice } = own
provideReading(read, told)

const chosen = ref<StudentAnswer | null>(null)
const looking = ref(false)
const reviewing = ref(false)

const ownName = computed(
  () =>
    (mine.value ? mine.value.name : props.name) ||
    common('guest', { number: mine.value?.seat ?? props.seat }),
)
const work = computed(() => view.value?.work ?? null)
const shown = computed(() => view.value?.shown ?? null)
const isOver = computed(() => !!paper.value?.handed_in)
/** A game in which there is no last question: one answers, and goes on. */
const rounds = computed(() => !!paper.value?.goes_round)
/** What was missed comes back, until nothing does any more. */
const comesBack = computed(() => !!paper.value?.comes_back)
const played = computed(() => mine.value?.board && viewsOf(mine.value.board.game as GameName))
const leads = computed(() => !!played.value?.leads)
/** It is answered on one's own board. */
const isPlayed = computed(() => !!played.value?.answers)
const places = computed(() => (paper.value ? placesOf(paper.value) : []))
const index = computed(() => places.value.findIndex((place) => place.here))
const here = computed(() => places.value[index.value])
const isLast = computed(() => index.value === places.value.length - 1)
const isTold = computed(
  () => !!shown.value?.key || (mine.value?.ask === shown.value?.ask && mine.value?.mark !== null),
)
const isTimeUp = computed(() => time.seconds.value === 0)
const changeable = computed(() => !!work.value?.changeable)
const isPage = computed(() => here.value?.number === null)

const mayAnswer = computed(() => {
  const isFree = state.value === 'none' || (state.value === 'refused' && !!refusal.value?.again)
  return !isPage.value && !isTold.value && !isTimeUp.value && (changeable.value || isFree)
})
/** Something is chosen that is not kept yet. */
const isNew = computed(() => mayAnswer.value && !!chosen.value && !same(chosen.value, answer.value))
const count = computed(() => {
  if (looking.value || isOver.value) return ''
  if (comesBack.value) return paper.value!.to_come ? t('to_come', { n: paper.value!.to_come }) : ''
  const number = rounds.value ? null : here.value?.number
  const of = places.value.filter((one) => one.number).length
  return number ? common('count_of', { count: number, of }) : ''
})
const left = computed(() =>
  time.seconds.value === null || isOver.value ? '' : t('time_left', { time: clockTime(time.seconds.value) }),
)
const share = computed(() =>
  time.seconds.value === null || isOver.value || view.value?.stopped ? null : time.share.value,
)
const isThrough = computed(
  () => comesBack.value && !isNew.value && !paper.value?.following && (isTold.value || isPage.value),
)
const mainLabel = computed(() => {
  if (isThrough.value) return t('finish')
  if (rounds.value && !isNew.value && !paper.value?.following) return sendLabel(null)
  if (isNew.value && changeable.value) return t(isLast.value ? 'keep' : 'keep_and_next')
  if (isNew.value) return sendLabel(chosen.value)
  return t(isLast.value && !rounds.value ? 'look_over' : 'next')
})
const sendLabel = (answer: StudentAnswer | null): string =>
  shown.value ? registry[shown.value.item.kind].sendLabel(shown.value.item, answer) : ''
const canGoOn = computed(() => !rounds.value || isNew.value || isThrough.value || !!paper.value?.following)

/** What is told to who cannot see: the time at 5 and 1 minutes and 30 and 10 seconds, and that an answer is kept. */
const AT = [300, 60, 30, 10]
const spoken = ref('')
watch(time.seconds, (now, before) => {
  if (now === null || before === null || before === undefined || isOver.value) return
  const passed = AT.find((at) => now <= at && before > at)
  if (passed)
    spoken.value =
      now > 59 ? t('minutes_left', { n: Math.round(now / 60) }) : common('seconds_left', { n: now })
  // What is chosen and not kept yet goes along before the time is over, where nothing is final by it.
  if (now === 1 && isNew.value && changeable.value) keep()
})
watch(state, (now) => now === 'sent' && (spoken.value = t('kept')))

/** What was chosen and would be final once sent: it is there again when one comes back. */
const drafts = new Map<string, StudentAnswer>()
watch([() => shown.value?.ask, () => paper.value?.at], ([ask], [before]) => {
  if (before && chosen.value && !changeable.value) drafts.set(before, chosen.value)
  chosen.value = (ask && drafts.get(ask)) || null
  scrollTo(0, 0)
})
watch(isOver, (now) => !now && (reviewing.value = false))

function keep(movesOn = false): void {
  if (shown.value && chosen.value) send(shown.value.item.id, chosen.value, movesOn)
}
/** Before one goes elsewhere: what is chosen is kept, unless it would be final by that. */
function leave(): void {
  if (isNew.value && changeable.value) keep()
}
function goTo(item: string): void {
  leave()
  looking.value = false
  if (item !== paper.value?.at) void own.go(item)
}
function step(by: number): void {
  const next = places.value[index.value + by]
  if (next) goTo(next.item)
}
function lookOver(): void {
  leave()
  looking.value = true
  scrollTo(0, 0)
}
function main(): void {
  if (rounds.value) {
    if (isNew.value) keep()
    else if (isThrough.value) void own.handIn()
    else if (paper.value?.following) void own.go(paper.value.following)
  } else if (isNew.value) {
    const wasLast = isLast.value // what is kept may be seen at once, with the question after it
    keep(!wasLast && work.value!.feedback !== 'each')
    if (wasLast && changeable.value) lookOver()
  } else if (isLast.value) lookOver()
  else step(1)
}
const quiet = 'min-h-11 px-2 font-bold text-tide disabled:text-slate'
</script>

<template>
  <PhoneFrame :left="ownName" :right="count" :share="share" :wide="isPlayed && ownName.includes(', ')">
    <SeatHead
      :status="status"
      :state="state"
      :words="[view?.word, mine?.word]"
      :spoken="spoken"
      :token="token"
    />
    <slot name="head" />

    <StoppedView v-if="view?.stopped" :for-today="view.stopped === 'today'" />
    <ReviewView v-else-if="isOver && reviewing" :own="own" :mine="mine" :marks="!!view!.marks" />
    <template v-else-if="isOver && mine">
      <OwnBoard v-if="mine.board" :mine="mine" at="after" />
      <HandedIn :mine="mine" :told="work?.feedback === 'never'" @review="reviewing = true" />
    </template>
    <template v-else-if="!paper && work && view">
      <BeginView :title="view.title" :work="work" :mine="mine" />
      <OwnBoard :mine="mine" at="before" :own="own" />
      <OwnLight v-if="mine?.light" :mine="mine" :own="own" />
      <PlayedRules v-if="view.game" :game="view.game as GameChosen" :speak="link.speakText" />
    </template>
    <LookOver v-else-if="looking && paper" :paper="paper" @go="goTo" />
    <template v-else-if="paper && shown">
      <OwnBoard
        v-if="mine?.board && !isPlayed"
        :mine="mine"
        at="during"
        :own="own"
        :item="shown.item.id"
        @go="goTo"
      />
      <PaperStrip v-if="!rounds && !leads" :paper="paper" @go="goTo" />
      <QuestionBody
        :shown="shown"
        :mine="mine"
        :answer="chosen ?? answer"
        :stage="isTold ? 'told' : 'open'"
        :disabled="!mayAnswer"
        :now="time.now.value"
        :left="left"
        :marks="!!view!.marks"
        :speak="link.speak"
        @update="chosen = $event"
      >
        <template v-if="isPlayed" #answer>
          <OwnBoard
            :mine="mine"
            at="during"
            :own="own"
            :question="shown.item"
            :disabled="!mayAnswer"
            :speak="link.speak"
          />
        </template>
      </QuestionBody>
    </template>
    <NoteToTeacher v-if="view?.notes && !looking" :own="own" :mine="mine" />

    <template #foot>
      <p v-if="notice" role="alert" class="pb-2 text-wrong">{{ notice }}</p>
      <p v-if="view?.stopped" class="py-2 text-slate">{{ common('waiting_for_teacher') }}</p>
      <p v-else-if="isOver" class="py-2 text-slate">{{ common('waiting_for_teacher') }}</p>
      <template v-else-if="!paper">
        <button v-if="!work?.collected" type="button" :class="mainButton" @click="own.begin()">
          {{ t('begin') }}
        </button>
        <p v-else class="py-2 text-slate">{{ common('waiting_for_teacher') }}</p>
      </template>
      <template v-else-if="looking">
        <p class="pb-2 text-[15px] text-slate">{{ t('hand_in_hint') }}</p>
        <button type="button" :class="mainButton" @click="own.handIn()">{{ t('hand_in') }}</button>
        <button type="button" class="mt-1 w-full" :class="quiet" @click="looking = false">
          {{ t('to_questions') }}
        </button>
      </template>
      <template v-else>
        <p v-if="state === 'refused' && refusal" role="alert" class="pb-2 text-wrong">
          {{ refusal.sentence }}
        </p>
        <p v-else-if="isTimeUp && !isTold" role="status" class="pb-2">{{ t('question_time_up') }}</p>
        <p v-else-if="!isTold && !isNew && answer" class="flex items-center justify-between pb-1 text-[15px]">
          <span>{{ t(state === 'sending' ? 'saving' : 'kept') }}</span>
          <button v-if="changeable && state === 'sent'" type="button" :class="quiet" @click="own.clear()">
            {{ t('clear') }}
          </button>
        </p>
        <button type="button" :class="mainButton" :disabled="!canGoOn" @click="main">{{ mainLabel }}</button>
        <div v-if="!rounds" class="mt-1 flex items-center justify-between">
          <button type="button" :class="quiet" :disabled="index <= 0" @click="step(-1)">
            {{ t('back') }}
          </button>
          <button
            v-if="!isPage && here"
            type="button"
            :class="quiet"
            :aria-pressed="here.flagged"
            @click="own.flag(here.item, !here.flagged)"
          >
            {{ t(here.flagged ? 'flagged' : 'flag') }}
          </button>
          <button type="button" :class="quiet" @click="lookOver">{{ t('look_over') }}</button>
        </div>
        <div v-else-if="comesBack && !isThrough" class="mt-1 text-end">
          <button type="button" :class="quiet" @click="lookOver">{{ t('look_over') }}</button>
        </div>
      </template>
    </template>
  </PhoneFrame>
</template>
