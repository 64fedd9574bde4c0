<script setup lang="ts">
/** How a set is run: two switches, what they come to in sentences, and everything else to be set otherwise. */
import { watchDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { Refusal } from '@/api/refusal'
import { sentenceOf, told } from '@/told'
import type { Planned, PresetInfo, RunOffer, SessionInfo, Settings } from '@/api/types'
import { useToasts } from '@/composables/useToasts'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import { beginning, switched, useChosenClass } from './chosen'
import HowItGoesOn from './HowItGoesOn.vue'
import RunPresets from './RunPresets.vue'
import SegmentedChoice from './SegmentedChoice.vue'
import WhatIsAsked from './WhatIsAsked.vue'
import WhatIsPlayed from './WhatIsPlayed.vue'
import WhatIsTold from './WhatIsTold.vue'
import WhatTime from './WhatTime.vue'
import WhatToSettle from './WhatToSettle.vue'
import WhoTakesPart from './WhoTakesPart.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

/** `prepared`: a session that is prepared, to be run otherwise. */
const props = defineProps<{ set: number; title: string; prepared?: SessionInfo }>()
const emit = defineEmits<{ close: []; prepared: [] }>()
const router = useRouter()
const { show } = useToasts()

const offer = ref<RunOffer | null>(null)
const settings = ref<Settings | null>(null)
const presets = ref<PresetInfo[]>([])
const classHere = useChosenClass()
const ofClass = ref(classHere.value)
const plan = ref<Planned | null>(null)
const isBlocked = ref(false)
const busy = ref<'open' | 'prepare' | null>(null)
const failure = ref<{ sentence: string; field: string } | null>(null)

async function begin(): Promise<void> {
  try {
    const path = { set_id: props.set }
    const found = await data(api.GET('/api/live/sets/{set_id}/run', { params: { path } }))
    presets.value = found.presets as PresetInfo[]
    settings.value = (props.prepared?.settings as Settings | undefined) ?? beginning(found)
    if (props.prepared) ofClass.value = props.prepared.of_class
    else if (found.last) ofClass.value = found.last_class
    offer.value = found
  } catch (error) {
    failure.value = { sentence: sentenceOf(error), field: '' }
  }
}
void begin()

async function look(): Promise<void> {
  if (!settings.value) return
  const body = { set: props.set, settings: settings.value, of_class: ofClass.value }
  plan.value = await data(api.POST('/api/live/plan', { body })).catch(() => plan.value)
}
watchDebounced([settings, ofClass], look, { deep: true, debounce: 150 })
watch(settings, () => (failure.value = null), { deep: true })

const MANNERS = [
  { value: 'led', words: t('you_lead') },
  { value: 'own_pace', words: t('own_pace') },
] as const
const ANSWERS = [
  { value: 'final', words: t('final_once_sent') },
  { value: 'changeable', words: t('changeable') },
] as const
const manner = computed({
  get: () => settings.value!.manner,
  set: (value) => (settings.value = switched(offer.value!, settings.value!, value, settings.value!.answers)),
})
const answers = computed({
  get: () => settings.value!.answers,
  set: (value) => (settings.value = switched(offer.value!, settings.value!, settings.value!.manner, value)),
})
const extent = computed(() => {
  if (!plan.value) return ''
  const { questions, minutes } = plan.value
  return t('questions_roughly_of_answering', { n: questions, minutes: common('n_minutes', { n: minutes }) })
})
const problemAt = (field: string): string | undefined =>
  failure.value?.field === field ? failure.value.sentence : undefined
const isPlaced = computed(() => ['topics', 'until', 'game'].includes(failure.value?.field ?? ''))

async function attempt(what: 'open' | 'prepare', work: () => Promise<void>): Promise<void> {
  busy.value = what
  failure.value = null
  try {
    await work()
    classHere.value = ofClass.value
  } catch (error) {
    failure.value = { sentence: sentenceOf(error), field: (error instanceof Refusal && error.field) || '' }
  } finally {
    busy.value = null
  }
}

function store(later: boolean): Promise<SessionInfo> {
  const choice = { of_class: ofClass.value, settings: settings.value! }
  if (!props.prepared)
    return data(api.POST('/api/live/sessions', { body: { set: props.set, later, ...choice } }))
  const params = { path: { session_id: props.prepared.id } }
  return data(api.PUT('/api/live/sessions/{session_id}/prepared', { params, body: choice }))
}

const open = (): Promise<void> =>
  attempt('open', async () => {
    const session = await store(false)
    if (!session.opened_at) {
      const params = { path: { session_id: session.id } }
      await data(api.POST('/api/live/sessions/{session_id}/open', { params }))
    }
    await router.push(`/desk/${session.id}`)
  })

const prepare = (): Promise<void> =>
  attempt('prepare', async () => {
    const session = await store(true)
    show(t('prepared_with_the_code_you_open', { code: session.code }))
    emit('prepared')
    emit('close')
  })
</script>

<template>
  <UiDialog open wide :title="t('run', { title: title || common('untitled_set') })" @close="emit('close')">
    <WhatToSettle v-model:blocked="isBlocked" :set="set" @leave="emit('close')" />
    <template v-if="offer && settings">
      <div class="grid gap-4 sm:grid-cols-2">
        <SegmentedChoice v-model="manner" :label="t('who_leads')" :options="MANNERS" />
        <SegmentedChoice v-model="answers" :label="t('an_answer_is')" :options="ANSWERS" />
      </div>
      <p class="mt-3" role="status">
        {{ plan?.sentences.map(told).join(' ') }}
        <span class="text-slate">{{ extent }}</span>
      </p>
      <div class="my-3 divide-y divide-rule border-y border-rule">
        <WhatIsPlayed
          v-model="settings"
          :set="set"
          :offer="offer"
          :plan="plan"
          :problem="problemAt('game')"
        />
        <WhoTakesPart v-model:of-class="ofClass" v-model:known="settings.known" />
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">{{ t('what_is_asked') }}</summary>
          <WhatIsAsked v-model="settings" :offer="offer" :problem="problemAt('topics')" />
        </details>
        <details :open="!!problemAt('until')">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">
            {{ t('how_much_time_there_is') }}
          </summary>
          <WhatTime v-model="settings" :problem="problemAt('until')" />
        </details>
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">
            {{ t('what_students_see_and_when') }}
          </summary>
          <WhatIsTold v-model="settings" />
        </details>
        <details v-if="settings.manner === 'led'">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">{{ t('going_on_by_itself') }}</summary>
          <HowItGoesOn v-model="settings" />
        </details>
        <RunPresets v-model:presets="presets" :settings="settings" @take="settings = $event" />
      </div>
    </template>
    <p v-else-if="!failure" class="py-6 text-slate" role="status">{{ t('looking_at_the_set') }}</p>
    <p v-if="failure && !isPlaced" role="alert" class="mb-3 text-wrong">{{ failure.sentence }}</p>
    <div class="flex flex-wrap gap-3">
      <UiButton look="main" size="large" :disabled="!settings || !!busy || isBlocked" @click="open">{{
        busy === 'open' ? t('opening_the_doors') : t('open_the_doors')
      }}</UiButton>
      <UiButton size="large" :disabled="!settings || !!busy || isBlocked" @click="prepare">{{
        prepared ? t('keep_it_prepared') : t('prepare_for_later')
      }}</UiButton>
      <UiButton size="large" look="quiet" @click="emit('close')">{{ common('not_now') }}</UiButton>
    </div>
  </UiDialog>
</template>
