<script setup lang="ts">
/** A question as a phone shows it: open, or with its result. Beside it stand its sort, how it went, and why. */
import { computed, defineAsyncComponent } from 'vue'
import { textOf } from '@/composables/text'
import type { Mine, Shown, StudentAnswer } from '@/api/types'
import MediaView from '@/media/shown/MediaView.vue'
import { registry } from '@/questions/registry'
import AsyncView from '@/questions/shared/AsyncView.vue'
import { runOf } from '@/questions/shared/lines'
import PromptText from '@/questions/shared/PromptText.vue'
import QuestionMedia from '@/questions/shared/QuestionMedia.vue'
import { chosen as chosenLook } from '../look'
import type { SeatLink } from './useSeat'
import { t } from './words'

const OutcomeHead = defineAsyncComponent(() => import('./OutcomeHead.vue'))
const PhoneWall = defineAsyncComponent(() => import('./PhoneWall.vue'))
const ReadAloud = defineAsyncComponent(() => import('./ReadAloud.vue'))
const props = defineProps<{
  shown: Shown
  mine: Mine | null
  /** Its answer, given or chosen. */
  answer: StudentAnswer | null
  /** Taking answers, closed, or with what was right told. */
  stage: 'open' | 'closed' | 'told'
  disabled?: boolean
  now: number
  /** What is left of its time, in words. */
  left?: string
  /** Whether it is said how the answer went. */
  marks?: boolean
  speak?: SeatLink['speak']
  own?: SeatLink['own']
}>()
defineEmits<{ update: [answer: StudentAnswer | null] }>()

/** A board that was made for a game is named after what lies on it: there is nothing more to read in that. */
const isNamedAfterIt = computed(() => {
  const { item } = props.shown
  const parts = 'left' in item ? item.left : 'members' in item ? item.members : []
  const prompt = textOf(item.prompt_html)
  return parts.some((part) => prompt.startsWith(`${textOf(part.html)} · `))
})
/** The question with the options that this student is shown. */
const plainer = computed(() => {
  const { item } = props.shown
  const out = props.mine?.left_out ?? []
  return out.length ? (registry[item.kind].without?.(item, out) ?? item) : item
})
const detail = computed(() => {
  const { item, number } = props.shown
  if (!number) return ''
  const weight = item.weight === 2 ? t('counts_twice') : ''
  return [registry[item.kind].sort(item), weight, props.left].filter(Boolean).join(' · ')
})
const speaks = computed(
  () => props.speak && props.stage === 'open' && (chosenLook.aloud || props.mine?.needs?.read_aloud),
)
</script>

<template>
  <OutcomeHead v-if="stage === 'told' && shown.item.scored && marks" :mine="mine" :ask="shown.ask" />
  <p v-else-if="detail && !$slots.answer" class="mb-1.5 text-[15px] text-slate first-letter:uppercase">
    {{ detail }}
  </p>
  <ReadAloud v-if="speaks" :key="shown.ask ?? ''" :speak="speak!" />
  <!-- The set's own words are in their own language, and run their own way. -->
  <div :lang="shown.item.language ?? ''" :dir="runOf(shown.item.prompt_html)">
    <PromptText
      :item="shown.item"
      class="mb-4 text-[22px]"
      :class="
        $slots.answer && isNamedAfterIt ? 'sr-only' : (stage === 'told' || $slots.answer) && 'text-[18px]!'
      "
    />
    <QuestionMedia
      :shown="shown"
      :is-open="stage === 'open'"
      :now="now"
      :without-fog="mine?.fog_lifted"
      :description="mine?.description"
      class="mb-4 [--picture-height:30vh]"
    />
    <PhoneWall
      v-if="stage !== 'open' && shown.wall"
      :wall="shown.wall"
      :mine="mine"
      :answer="answer"
      :own="own"
    />
    <AsyncView
      v-else-if="stage !== 'open'"
      :kind="shown.item.kind"
      part="result"
      :item="shown.item"
      :tally="shown.tally ?? null"
      :form="shown.form"
      :answer-key="shown.key ?? null"
      :mine="answer"
      class="text-[17px]"
    />
    <slot v-else name="answer">
      <AsyncView
        :key="shown.ask ?? shown.item.id"
        :kind="shown.item.kind"
        part="player"
        :item="plainer"
        :answer="answer"
        :disabled="disabled"
        @update="$emit('update', $event)"
      />
    </slot>
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
