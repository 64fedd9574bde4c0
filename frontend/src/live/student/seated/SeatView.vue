<script setup lang="ts">
/** What a student sees once in: always the present view of the session. */
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import type { GameChosen, StudentAnswer } from '@/api/types'
import { clockTime } from '@/composables/format'
import { viewsOf } from '@/games/registry'
import { registry } from '@/questions/registry'
import { provideReading } from '@/questions/shared/reading'
import PhoneFrame from '../PhoneFrame.vue'
import { mainButton } from '../recipes'
import type { Refusal } from '@/api/refusal'
import { announcement } from './announce'
import QuestionBody from './QuestionBody.vue'
import SeatHead from './SeatHead.vue'
import StoppedView from './StoppedView.vue'
import type { SeatLink } from './useSeat'
import { figure } from '@/words'
import { t } from './words'
import { t as atTheDoor } from '../words'
import { told } from '../told'

const EndView = defineAsyncComponent(() => import('./EndView.vue'))
const OwnLight = defineAsyncComponent(() => import('./light/OwnLight.vue'))
const NoteToTeacher = defineAsyncComponent(() => import('./NoteToTeacher.vue'))
const OwnBoard = defineAsyncComponent(() => import('./OwnBoard.vue'))
const PlayedRules = defineAsyncComponent(() => import('./PlayedRules.vue'))
const PlaceView = defineAsyncComponent(() => import('./PlaceView.vue'))
const props = defineProps<{ link: SeatLink; name: string; seat?: number; token?: string }>()
const emit = defineEmits<{ leave: [why?: Refusal] }>()
const { view, mine, time, status, answer, state, refusal, send, read } = props.link
provideReading(read, told)
const chosen = ref<StudentAnswer | null>(null)
/** Where an answer may be changed, the student has said that it shall be. */
const changing = ref(false)

/** What the server says now: who was erased since has no name any more. */
const ownName = computed(
  () =>
    (mine.value ? mine.value.name : props.name) ||
    t('guest', { number: mine.value?.seat ?? props.seat ?? 1 }),
)
const phase = computed(() => view.value?.phase)
const shown = computed(() => view.value?.shown ?? null)
const isOpen = computed(() => phase.value === 'open')
const talks = computed(() => phase.value === 'talk')
const isOver = computed(() => phase.value === 'closed' || phase.value === 'revealed')
const stage = computed(() =>
  phase.value === 'revealed' ? 'told' : phase.value === 'closed' ? 'closed' : 'open',
)
const mayChange = computed(() => !!view.value?.changeable && state.value === 'sent')
const mayAnswer = computed(() => {
  const isFree = state.value === 'none' || (state.value === 'refused' && !!refusal.value?.again)
  return isOpen.value && (isFree || (mayChange.value && changing.value)) && time.seconds.value !== 0
})
/** It is answered on one's own board. */
const isPlayed = computed(() => !!mine.value?.board && !!viewsOf(mine.value.board.game).answers)
const sendLabel = computed(() => {
  const item = shown.value?.item
  return item ? registry[item.kind].sendLabel(item, chosen.value) : ''
})
const count = computed(() => {
  const { number, asked_now: isNew } = shown.value ?? {}
  if (!number) return ''
  return isNew ? figure(number) : t('count_of', { count: number, of: view.value!.questions })
})
const left = computed(() => {
  if (shown.value?.asked_now && isOpen.value) return clockTime(time.passed.value)
  const runs = (isOpen.value || talks.value) && time.seconds.value !== null
  return runs ? t('seconds', { count: time.seconds.value! }) : ''
})
const share = computed(() =>
  (isOpen.value || talks.value) && time.seconds.value !== null ? time.share.value : null,
)
const spoken = announcement(view, state, time.seconds)

watch([() => shown.value?.item.id, () => shown.value?.ask], () => {
  chosen.value = null
  changing.value = false
  scrollTo(0, 0)
})

function sendChosen(): void {
  if (!shown.value || !chosen.value) return
  changing.value = false
  send(shown.value.item.id, chosen.value)
}

function change(): void {
  chosen.value = answer.value
  changing.value = true
}
</script>

<template>
  <PhoneFrame :left="ownName" :right="count" :share="share" :wide="isPlayed && ownName.includes(', ')">
    <SeatHead
      :status="view ? status : 'online'"
      :state="state"
      :words="phase === 'ended' ? [] : [view?.word, mine?.word]"
      :spoken="spoken"
      :token="token"
    />

    <p v-if="!view" class="pt-10 text-lg text-slate" role="status">
      {{ status === 'offline' ? t('no_server') : atTheDoor('going_in') }}
    </p>
    <StoppedView v-else-if="view.stopped" :for-today="view.stopped === 'today'" />
    <div v-else-if="phase === 'lobby'" class="pt-8">
      <h1 class="text-3xl wrap-anywhere">{{ t('you_are_in', { name: ownName }) }}</h1>
      <p class="mt-3 text-lg">{{ t('starts_when_ready', { title: view.title }) }}</p>
      <OwnBoard :mine="mine" at="before" :own="link.own" />
      <OwnLight v-if="mine?.light" :mine="mine" :own="link.own" />
      <PlayedRules v-if="view.game" :game="view.game as GameChosen" :speak="link.speakText" />
    </div>
    <OwnBoard v-else-if="phase === 'standings' && mine?.board" :mine="mine" at="between" :own="link.own" />
    <PlaceView v-else-if="phase === 'standings'" :mine="mine" />
    <EndView v-else-if="phase === 'ended'" :view="view" :mine="mine" :own="link.own" />
    <template v-else-if="talks && shown">
      <div class="mb-5 border-s-6 border-lamp ps-3" role="status">
        <h1 class="text-3xl">{{ t('talk') }}</h1>
        <p class="mt-1 text-lg">{{ t('talk_how') }}</p>
      </div>
      <QuestionBody
        :shown="shown"
        :mine="mine"
        :answer="answer"
        stage="open"
        disabled
        :now="time.now.value"
        :left="left"
      />
    </template>
    <template v-else-if="shown">
      <OwnBoard v-if="mine?.board && isOpen && !isPlayed" :mine="mine" at="during" :own="link.own" />
      <QuestionBody
        :shown="shown"
        :mine="mine"
        :answer="(changing ? chosen : answer) ?? chosen"
        :stage="stage"
        :disabled="!mayAnswer"
        :now="time.now.value"
        :left="left"
        :marks="view.marks"
        :speak="link.speak"
        :own="link.own"
        @update="chosen = $event"
      >
        <template v-if="isPlayed" #answer>
          <OwnBoard
            :mine="mine"
            at="during"
            :own="link.own"
            :question="shown.item"
            :disabled="time.seconds.value === 0"
            :speak="link.speak"
          />
        </template>
      </QuestionBody>
    </template>
    <NoteToTeacher v-if="view?.notes && link.own" :own="link.own" :mine="mine" />

    <template #foot>
      <p v-if="view?.stopped || talks" class="py-2 text-slate">
        {{ t(talks && !view?.stopped ? 'second_vote' : 'waiting_for_teacher') }}
      </p>
      <template v-else-if="isPlayed && mayAnswer">
        <p v-if="link.own?.notice.value" role="alert" class="py-2 text-wrong">{{ link.own.notice.value }}</p>
        <p v-else class="py-2 text-slate">{{ t('sent_as_you_play') }}</p>
      </template>
      <template v-else-if="mayAnswer && shown && !isPlayed">
        <p v-if="refusal?.again" role="alert" class="pb-2 text-wrong">{{ refusal.sentence }}</p>
        <button type="button" :class="mainButton" :disabled="!chosen" @click="sendChosen">
          {{ sendLabel }}
        </button>
      </template>
      <p v-else-if="state === 'refused' && !isOver" role="alert" class="py-2">{{ refusal?.sentence }}</p>
      <div v-else-if="isOpen && mayChange && time.seconds.value !== 0">
        <p class="pb-2">
          <b>{{ t('sent') }}</b> {{ t('may_change') }}
        </p>
        <button type="button" class="min-h-11 w-full rounded border border-ink font-bold" @click="change">
          {{ t('change_it') }}
        </button>
      </div>
      <p v-else-if="isOpen && state === 'sent'" class="py-2">
        <b>{{ t('sent') }}</b> {{ t('waiting_for_others') }}
      </p>
      <p v-else-if="isOpen && state === 'sending'" class="py-2">{{ t('sending') }}</p>
      <p v-else-if="isOpen && !mayAnswer" class="py-2">{{ t('time_up') }}</p>
      <p v-else-if="isOver && state === 'refused'" class="py-2">{{ refusal?.sentence }}</p>
      <p v-else-if="isOver && !answer" class="py-2 text-slate">
        {{ t('no_answer_sent') }}
      </p>
      <div v-else class="flex items-center justify-between gap-4 py-2 text-slate">
        <span>{{ t(phase === 'ended' ? 'close_page' : 'waiting_for_teacher') }}</span>
        <button
          v-if="phase === 'lobby' || phase === 'ended'"
          type="button"
          class="min-h-11 font-bold text-tide"
          @click="emit('leave')"
        >
          {{ t(phase === 'ended' ? 'join_another' : 'not_you') }}
        </button>
      </div>
    </template>
  </PhoneFrame>
</template>
