<script setup lang="ts">
/** How a set is run: two switches, what they come to in sentences, and everything else to be set otherwise. */
import { watchDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { Refusal, sentenceOf } from '@/api/refusal'
import type { Planned, PresetInfo, RunOffer, SessionInfo, Settings } from '@/api/types'
import { counted } from '@/composables/format'
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
  { value: 'led', words: 'You lead' },
  { value: 'own_pace', words: 'Own pace' },
] as const
const ANSWERS = [
  { value: 'final', words: 'Final once sent' },
  { value: 'changeable', words: 'Changeable' },
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
  return `${counted(questions, 'question')}, roughly ${counted(minutes, 'minute')} of answering.`
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
    show(`Prepared, with the code ${session.code}. You open the doors under “Sessions”.`)
    emit('prepared')
    emit('close')
  })
</script>

<template>
  <UiDialog open wide :title="`Run “${title || 'Untitled set'}”`" @close="emit('close')">
    <WhatToSettle v-model:blocked="isBlocked" :set="set" @leave="emit('close')" />
    <template v-if="offer && settings">
      <div class="grid gap-4 sm:grid-cols-2">
        <SegmentedChoice v-model="manner" label="Who leads" :options="MANNERS" />
        <SegmentedChoice v-model="answers" label="An answer is" :options="ANSWERS" />
      </div>
      <p class="mt-3" role="status">
        {{ plan?.sentences.map((one) => one.sentence).join(' ') }}
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
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">What is asked</summary>
          <WhatIsAsked v-model="settings" :offer="offer" :problem="problemAt('topics')" />
        </details>
        <details :open="!!problemAt('until')">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">How much time there is</summary>
          <WhatTime v-model="settings" :problem="problemAt('until')" />
        </details>
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">What students see, and when</summary>
          <WhatIsTold v-model="settings" />
        </details>
        <details v-if="settings.manner === 'led'">
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">Going on by itself</summary>
          <HowItGoesOn v-model="settings" />
        </details>
        <RunPresets v-model:presets="presets" :settings="settings" @take="settings = $event" />
      </div>
    </template>
    <p v-else-if="!failure" class="py-6 text-slate" role="status">Looking at the set…</p>
    <p v-if="failure && !isPlaced" role="alert" class="mb-3 text-wrong">{{ failure.sentence }}</p>
    <div class="flex flex-wrap gap-3">
      <UiButton look="main" size="large" :disabled="!settings || !!busy || isBlocked" @click="open">{{
        busy === 'open' ? 'Opening the doors…' : 'Open the doors'
      }}</UiButton>
      <UiButton size="large" :disabled="!settings || !!busy || isBlocked" @click="prepare">{{
        prepared ? 'Keep it prepared' : 'Prepare for later'
      }}</UiButton>
      <UiButton size="large" look="quiet" @click="emit('close')">Not now</UiButton>
    </div>
  </UiDialog>
</template>
