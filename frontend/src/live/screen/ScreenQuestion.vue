<script setup lang="ts">
import { computed, ref } from 'vue'
import type { PublicItem, ScreenView, SessionInfo } from '@/api/types'
import { clockTime, percent } from '@/composables/format'
import { useFit } from '@/composables/useFit'
import { viewsOf } from '@/questions/registry'
import AsyncView from '@/questions/shared/AsyncView.vue'
import MediaView from '@/media/shown/MediaView.vue'
import { runOf } from '@/questions/shared/lines'
import PromptText from '@/questions/shared/PromptText.vue'
import QuestionMedia from '@/questions/shared/QuestionMedia.vue'
import JoinHow from './JoinHow.vue'
import ScreenAsked from './ScreenAsked.vue'
import ScreenWall from './ScreenWall.vue'
import VotesBeside from '../votes/VotesBeside.vue'
import { t } from './words'

const props = defineProps<{
  view: ScreenView
  now: number
  /** Seconds since it was opened. */
  passed: number
  info: SessionInfo | null
  session: number
}>()
const shown = computed(() => props.view.shown!)
/** A page has the screen to itself: its text begins larger. */
const PAGE = 1.4
const frame = ref<HTMLElement>()
const scale = useFit(frame, () => [shown.value.item.id, props.view.phase, !!shown.value.tally])

const head = computed(() => {
  const { item, number } = shown.value
  if (!number) return ''
  const called = shown.value.asked_now
    ? t('question_number', { number })
    : t('question_of', { number, of: props.view.questions })
  const parts = [called, viewsOf(item).sort(item)]
  if (item.weight === 2) parts.push(t('counts_twice'))
  if (props.view.phase === 'closed') parts.push(t('closed'))
  if (shown.value.votes) parts.push(t('second_vote'))
  if (shown.value.asked_now && props.view.phase === 'open') parts.push(clockTime(props.passed))
  return parts.join(' · ')
})
const rightShare = computed(() => props.view.right_share)

/** Media stand beside the result, unless the kind's own view shows the picture. */
const hasMedia = computed(() => {
  const { picture, sound, video } = shown.value.item
  return !!sound || !!video || (!!picture && !viewsOf(shown.value.item).showsPicture)
})

/** A page with nothing but a picture or a film gives it all the room. */
const mediaAlone = computed(() => hasMedia.value && !shown.value.number && !bodyOf(shown.value.item))
const bodyOf = (item: PublicItem): string => ('body_html' in item ? item.body_html : '')
const joins = computed(() => 'joining' in shown.value.item && shown.value.item.joining && !props.view.locked)

const words = computed(() =>
  viewsOf(shown.value.item).inWords(shown.value.item, shown.value.tally ?? null, shown.value.key ?? null),
)
</script>

<template>
  <div
    ref="frame"
    class="overflow-y-auto pe-1"
    :class="shown.wall && 'flex flex-col'"
    :style="{ fontSize: `max(18px, ${scale * (shown.number ? 1 : PAGE)}em)`, '--least': '18px' }"
    tabindex="0"
    role="region"
    :aria-label="t('the_question')"
  >
    <p v-if="head" class="mb-[0.45em] text-[max(18px,0.7em)] text-soft">
      {{ head
      }}<template v-if="rightShare !== null">
        · <b class="text-front">{{ t('share_right', { share: percent(rightShare) }) }}</b></template
      >
    </p>
    <ScreenAsked :view="view" />
    <p v-if="view.phase === 'talk'" role="status" class="mb-[0.5em] border-s-6 border-light-bar ps-[0.5em]">
      <b class="text-[1.4em]">{{ t('talk_it_over') }}</b> {{ t('talk_how') }}
    </p>
    <PromptText :item="shown.item" class="text-[1.62em]" />
    <div
      v-if="hasMedia || !shown.wall"
      :dir="runOf(shown.item.prompt_html)"
      class="mt-[1em] grid items-start gap-[1em]"
      :class="
        hasMedia && !mediaAlone && (shown.number ? 'grid-cols-[minmax(0,1fr)_minmax(0,40%)]' : 'grid-cols-2')
      "
    >
      <VotesBeside v-if="shown.votes" :shown="shown" />
      <AsyncView
        v-else-if="!shown.wall"
        :kind="shown.item.kind"
        part="result"
        :item="shown.item"
        :tally="shown.tally ?? null"
        :form="shown.form"
        :answer-key="shown.key ?? null"
      />
      <QuestionMedia
        v-if="hasMedia"
        :shown="shown"
        :is-open="view.phase === 'open'"
        :now="now"
        :class="
          mediaAlone
            ? '[--picture-height:62vh]'
            : shown.number
              ? '[--picture-height:46vh]'
              : '[--picture-height:56vh]'
        "
        :sizes="mediaAlone ? '80vw' : shown.number ? '35vw' : '45vw'"
      />
    </div>
    <JoinHow v-if="joins" :code="view.code" :info="info" :session="session" class="mt-[1em]" />
    <ScreenWall
      v-if="shown.wall"
      :wall="shown.wall"
      :is-open="view.phase === 'open'"
      :scale="scale"
      class="mt-[0.6em] min-h-[50%] grow"
    />
    <div
      v-if="shown.explanation_html || shown.explanation_media"
      class="mt-[0.9em] flex gap-[0.8em] border-s-4 border-light-bar ps-[0.7em] text-[max(18px,0.8em)]"
    >
      <b>{{ t('why') }}</b>
      <div>
        <div
          class="prose"
          dir="auto"
          :lang="shown.item.language || undefined"
          v-html="shown.explanation_html"
        />
        <MediaView v-if="shown.explanation_media" :media="shown.explanation_media" />
      </div>
    </div>
    <p class="sr-only" role="status">{{ words }}</p>
  </div>
</template>
