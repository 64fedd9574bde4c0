<script setup lang="ts">
/** The current item with its live result. */
import { computed, shallowRef, watch } from 'vue'
import { clockTime, duration, percent } from '@/composables/format'
import type { DeskView, ResultForm, StudentAnswer } from '@/api/types'
import { viewsOf } from '@/questions/registry'
import AsyncView from '@/questions/shared/AsyncView.vue'
import MediaView from '@/media/shown/MediaView.vue'
import { runOf } from '@/questions/shared/lines'
import PromptText from '@/questions/shared/PromptText.vue'
import QuestionMedia from '@/questions/shared/QuestionMedia.vue'
import UiButton from '@/ui/UiButton.vue'
import VotesBeside from '../votes/VotesBeside.vue'
import DeskWall from './DeskWall.vue'
import MergedWords from './MergedWords.vue'
import type { Desk } from './useDesk'
import { t } from './words'
import { told } from '@/told'

const props = defineProps<{
  view: DeskView
  seconds: number | null
  /** Seconds since it was opened. */
  passed: number
  desk: Desk
}>()
const emit = defineEmits<{
  form: [form: ResultForm]
  key: [answer: StudentAnswer]
  part: [text: string]
  undo: []
}>()
const right = shallowRef<StudentAnswer | null>(null)

const shown = computed(() => props.view.shown!)
const merged = computed(
  () => (shown.value.tally && viewsOf(shown.value.item).merged?.(shown.value.tally)) || [],
)
watch(
  () => shown.value.item.id,
  () => (right.value = null),
)
const FORMS: Record<ResultForm, string> = {
  bars: t('as_bars'),
  shares: t('as_shares'),
  dots: t('as_dots'),
  words: t('as_words'),
  list: t('as_list'),
}
const PHASES: Partial<Record<DeskView['phase'], string>> = {
  closed: t('is_closed'),
  talk: t('they_talk_it_over'),
  revealed: t('the_right_answer_is_shown'),
  standings: t('standings_are_shown'),
}

const head = computed(() => {
  const { item, number } = shown.value
  const parts = [number ? t('question_2', { number }) : t('page')]
  if (shown.value.round > 1) parts.push(t('round', { round: shown.value.round }))
  if (number) parts.push(viewsOf(item).sort(item))
  if (item.weight === 2) parts.push(t('counts_twice'))
  if (number && !item.scored) parts.push(t('opinion'))
  if (props.view.stopped)
    parts.push(props.view.stopped === 'today' ? t('closed_for_today_2') : t('is_paused'))
  else if (props.seconds !== null) parts.push(t('left_2', { time: duration(props.seconds) }))
  else if (shown.value.asked_now && props.view.phase === 'open') parts.push(clockTime(props.passed))
  if (props.seconds === 0 && props.view.waiting_for)
    parts.push(t('waiting_for_with_more_time', { waiting_for: props.view.waiting_for }))
  const writer = props.view.run.find((row) => row.id === item.id)?.by
  if (writer) parts.push(t('written_by', { writer }))
  const phase = PHASES[props.view.phase]
  if (phase) parts.push(phase)
  return parts.join(' · ')
})

const curtain = computed(() => {
  if (props.view.curtain) return t('the_curtain_is_drawn_the_class')
  if (props.view.phase === 'open' && props.view.on_wall && props.view.wall.live)
    return t('the_big_screen_shows')
  return props.view.phase === 'open' ? t('the_class_sees_the_result_once') : ''
})
</script>

<template>
  <p class="mb-1.5 text-[15px] text-slate">{{ head }}</p>
  <PromptText :item="shown.item" :class="shown.item.prompt_html.length > 160 ? 'text-xl' : 'text-[26px]'" />
  <QuestionMedia
    :shown="shown"
    :is-open="false"
    :now="0"
    without-fog
    class="mt-3 max-w-md [--picture-height:22vh]"
    sizes="30rem"
  />
  <p v-if="view.suggestion" class="mt-3 border-s-4 border-lamp ps-3">{{ told(view.suggestion) }}</p>
  <VotesBeside v-if="shown.votes" :shown="shown" class="mt-4" />
  <AsyncView
    v-else-if="view.on_wall?.kind !== 'texts'"
    :kind="shown.item.kind"
    part="result"
    :item="shown.item"
    :tally="shown.tally ?? null"
    :form="shown.form"
    :answer-key="shown.key ?? null"
    :dir="runOf(shown.item.prompt_html)"
    class="mt-4"
  />
  <p v-if="view.forms.length" class="mt-2 flex flex-wrap items-center gap-x-1 text-[15px] text-slate">
    {{ t('shown_as') }}
    <button
      v-for="form in view.forms"
      :key="form"
      type="button"
      class="min-h-7 rounded px-2"
      :class="form === shown.form ? 'bg-hull text-foam' : 'text-tide hover:underline'"
      :aria-pressed="form === shown.form"
      @click="emit('form', form)"
    >
      {{ FORMS[form] }}
    </button>
    <kbd class="rounded-sm border border-current px-1.5 font-text text-xs" aria-hidden="true">R</kbd>
  </p>
  <DeskWall v-if="view.on_wall" :view="view" :desk="desk" />
  <MergedWords
    v-if="view.allowed.includes('keep_apart')"
    :groups="merged"
    :undo="view.allowed.includes('take_back')"
    @part="emit('part', $event)"
    @undo="emit('undo')"
  />
  <details v-if="view.allowed.includes('set_key')" class="mt-4 max-w-xs" :open="view.right_share === null">
    <summary class="cursor-pointer font-bold">
      {{ view.right_share === null ? t('say_what_is_right') : t('something_else_is_right') }}
    </summary>
    <div class="mt-2" :lang="shown.item.language || undefined" :dir="runOf(shown.item.prompt_html)">
      <AsyncView
        :kind="shown.item.kind"
        part="player"
        :item="shown.item"
        :answer="right"
        :disabled="false"
        @update="right = $event"
      />
    </div>
    <UiButton class="mt-2" :disabled="!right" @click="emit('key', right!)">{{ t('this_is_right') }}</UiButton>
  </details>
  <template v-if="shown.number">
    <dl class="mt-5 flex gap-8">
      <div class="flex flex-col-reverse">
        <dt class="text-sm text-slate">{{ t('answered_2') }}</dt>
        <dd class="figure text-2xl" dir="ltr">{{ view.answered }} / {{ view.people.length }}</dd>
      </div>
      <div v-if="view.right_share !== null" class="flex flex-col-reverse">
        <dt class="text-sm text-slate">{{ t('right_so_far') }}</dt>
        <dd class="figure text-2xl">{{ percent(view.right_share) }}</dd>
      </div>
      <div v-if="view.median_took !== null" class="flex flex-col-reverse">
        <dt class="text-sm text-slate">{{ t('middle_time') }}</dt>
        <dd class="figure text-2xl">{{ Math.round(view.median_took / 1000) }} s</dd>
      </div>
    </dl>
    <p v-if="curtain" class="mt-3 text-[15px] text-slate">{{ curtain }}</p>
    <p v-if="view.share_hidden" class="mt-1 text-[15px] text-slate">
      {{ t('the_class_is_not_told_how') }}
    </p>
  </template>
  <div
    v-if="shown.explanation_html || shown.explanation_media"
    class="mt-5 flex gap-3 border-s-4 border-lamp ps-3"
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
</template>
