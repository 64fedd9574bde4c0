<script setup lang="ts">
/** What a student sees once in: always the present view of the session. */
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import type { StudentAnswer } from '@/api/types'
import { registry } from '@/questions/registry'
import AsyncView from '@/questions/shared/AsyncView.vue'
import MediaView from '@/media/shown/MediaView.vue'
import { provideReading } from '@/questions/shared/reading'
import PromptText from '@/questions/shared/PromptText.vue'
import QuestionMedia from '@/questions/shared/QuestionMedia.vue'
import PhoneFrame from './PhoneFrame.vue'
import { mainButton } from './recipes'
import type { Refusal } from '@/api/refusal'
import { announcement } from './announce'
import { chosen as chosenLook, need } from './look'
import type { SeatLink } from './useSeat'
import { needLanguage } from './ownLanguage'
import { t } from './words'
import { runOf } from '@/questions/shared/lines'

const EndView = defineAsyncComponent(() => import('./EndView.vue'))
const OutcomeHead = defineAsyncComponent(() => import('./OutcomeHead.vue'))
const PlaceView = defineAsyncComponent(() => import('./PlaceView.vue'))
const ReadAloud = defineAsyncComponent(() => import('./ReadAloud.vue'))
const props = defineProps<{ link: SeatLink; name: string; seat?: number }>()
const emit = defineEmits<{ leave: [why?: Refusal] }>()
const { view, mine, time, status, gone, answer, state, refusal, send, read } = props.link
provideReading(read)
const chosen = ref<StudentAnswer | null>(null)

/** What the server says now: who was erased since has no name any more. */
const ownName = computed(
  () =>
    (mine.value ? mine.value.name : props.name) ||
    t('guest', { number: mine.value?.seat ?? props.seat ?? 1 }),
)
const phase = computed(() => view.value?.phase)
const shown = computed(() => view.value?.shown ?? null)
/** The question with the options that this student is shown. */
const plainer = computed(() => {
  const { item } = shown.value!
  const out = mine.value?.left_out ?? []
  return out.length ? (registry[item.kind].without?.(item, out) ?? item) : item
})
const isOpen = computed(() => phase.value === 'open')
const isOver = computed(() => phase.value === 'closed' || phase.value === 'revealed')
const mayAnswer = computed(() => {
  const isFree = state.value === 'none' || (state.value === 'refused' && !!refusal.value?.again)
  return isOpen.value && isFree && time.seconds.value !== 0
})
const sendLabel = computed(() => {
  const item = shown.value?.item
  return item ? registry[item.kind].sendLabel(item, chosen.value) : ''
})
const count = computed(() =>
  shown.value?.number ? t('count_of', { count: shown.value.number, of: view.value!.questions }) : '',
)
const detail = computed(() => {
  const item = shown.value?.item
  if (!item || !shown.value?.number) return ''
  const seconds =
    isOpen.value && time.seconds.value !== null ? t('seconds', { count: time.seconds.value }) : ''
  const weight = item.weight === 2 ? t('counts_twice') : ''
  return [registry[item.kind].sort(item), weight, seconds].filter(Boolean).join(' · ')
})
const share = computed(() => (isOpen.value && time.seconds.value !== null ? time.share.value : null))
const spoken = announcement(view, state, time.seconds)

watch([() => shown.value?.item.id, () => shown.value?.ask], () => {
  chosen.value = null
  scrollTo(0, 0)
})
watch(
  () => mine.value?.needs,
  (needs) => {
    need(needs)
    needLanguage(needs?.language)
  },
  { immediate: true },
)
watch(gone, (why) => why && emit('leave', why))

function sendChosen(): void {
  if (shown.value && chosen.value) send(shown.value.item.id, chosen.value)
}
</script>

<template>
  <PhoneFrame :left="ownName" :right="count" :share="share">
    <p
      v-if="status !== 'online' && view"
      role="status"
      class="mb-4 rounded border border-lamp-ink bg-lamp-wash px-3 py-2 text-lamp-ink"
    >
      {{ t('no_connection') }} {{ t(state === 'sending' ? 'answer_waits' : 'back_by_yourself') }}
    </p>
    <p class="sr-only" role="status" aria-live="polite">{{ spoken }}</p>

    <p v-if="!view" class="pt-10 text-lg text-slate" role="status">
      {{ t(status === 'offline' ? 'no_server' : 'going_in') }}
    </p>
    <div v-else-if="phase === 'lobby'" class="pt-8">
      <h1 class="text-3xl wrap-anywhere">{{ t('you_are_in', { name: ownName }) }}</h1>
      <p class="mt-3 text-lg">{{ t('starts_when_ready', { title: view.title }) }}</p>
    </div>
    <PlaceView v-else-if="phase === 'standings'" :mine="mine" />
    <EndView v-else-if="phase === 'ended'" :view="view" :mine="mine" />
    <template v-else-if="shown">
      <OutcomeHead v-if="phase === 'revealed' && shown.item.scored" :mine="mine" :ask="shown.ask" />
      <p v-else-if="detail" class="mb-1.5 text-[15px] text-slate first-letter:uppercase">{{ detail }}</p>
      <ReadAloud
        v-if="link.speak && (isOpen || phase === 'page') && (chosenLook.aloud || mine?.needs?.read_aloud)"
        :key="shown.ask ?? ''"
        :speak="link.speak"
      />
      <!-- The set's own words are in their own language, and run their own way. -->
      <div :lang="shown.item.language ?? ''" :dir="runOf(shown.item.prompt_html)">
        <PromptText
          :item="shown.item"
          class="mb-4 text-[22px]"
          :class="phase === 'revealed' && 'text-[18px]!'"
        />
        <QuestionMedia
          :shown="shown"
          :is-open="isOpen"
          :now="time.now.value"
          :without-fog="mine?.fog_lifted"
          :description="mine?.description"
          class="mb-4 [--picture-height:30vh]"
        />
        <AsyncView
          v-if="isOver"
          :kind="shown.item.kind"
          part="result"
          :item="shown.item"
          :tally="shown.tally ?? null"
          :answer-key="shown.key ?? null"
          :mine="answer"
          class="text-[17px]"
        />
        <AsyncView
          v-else
          :key="shown.ask ?? shown.item.id"
          :kind="shown.item.kind"
          part="player"
          :item="plainer"
          :answer="answer ?? chosen"
          :disabled="!mayAnswer"
          @update="chosen = $event"
        />
      </div>
      <div
        v-if="shown.explanation_html || shown.explanation_media"
        class="mt-5 text-lg"
        :dir="runOf(shown.explanation_html ?? '')"
      >
        <b>{{ t('why') }}</b>
        <div class="prose" dir="auto" :lang="shown.item.language ?? ''" v-html="shown.explanation_html" />
        <MediaView v-if="shown.explanation_media" :media="shown.explanation_media" />
      </div>
    </template>

    <template #foot>
      <p v-if="mayAnswer && refusal?.again" role="alert" class="pb-2 text-wrong">{{ refusal.sentence }}</p>
      <button
        v-if="mayAnswer && shown"
        type="button"
        :class="mainButton"
        :disabled="!chosen"
        @click="sendChosen"
      >
        {{ sendLabel }}
      </button>
      <p v-else-if="state === 'refused' && !isOver" role="alert" class="py-2">{{ refusal?.sentence }}</p>
      <p v-else-if="isOpen && state === 'sent'" class="py-2">
        <b>{{ t('sent') }}</b> {{ t('waiting_for_others') }}
      </p>
      <p v-else-if="isOpen && state === 'sending'" class="py-2">{{ t('sending') }}</p>
      <p v-else-if="isOpen" class="py-2">{{ t('time_up') }}</p>
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
