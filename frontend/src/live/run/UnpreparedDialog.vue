<script setup lang="ts">
/** A session with nothing prepared: who takes part, and the doors are open. */
import { ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { Refusal, sentenceOf } from '@/api/refusal'
import type { Settings } from '@/api/types'
import { dateOf } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiField from '@/ui/UiField.vue'
import WhatIsTold from './WhatIsTold.vue'
import WhoTakesPart from './WhoTakesPart.vue'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const title = ref(`Asked on ${dateOf(new Date().toISOString())}`)
const settings = ref<Settings | null>(null)
const ofClass = ref<number | null>(null)
const failure = ref<{ sentence: string; field: string } | null>(null)
const busy = ref(false)
const doors = useTemplateRef<HTMLElement>('doors')

async function begin(): Promise<void> {
  try {
    const found = await data(api.GET('/api/live/unprepared'))
    settings.value = found.settings as Settings
    ofClass.value = found.of_class
  } catch (error) {
    failure.value = { sentence: sentenceOf(error), field: '' }
  }
}
void begin()
/** A second press opens them. */
watch(settings, () => doors.value?.querySelector('button')?.focus(), { flush: 'post', once: true })

async function open(): Promise<void> {
  busy.value = true
  failure.value = null
  try {
    const body = { set: null, title: title.value, of_class: ofClass.value, settings: settings.value! }
    const session = await data(api.POST('/api/live/sessions', { body }))
    await router.push(`/desk/${session.id}`)
  } catch (error) {
    failure.value = { sentence: sentenceOf(error), field: (error instanceof Refusal && error.field) || '' }
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <UiDialog open wide title="Start without a set" @close="emit('close')">
    <form @submit.prevent="open">
      <p>
        You ask as you go: letters, yes or no, a number, a word, or a question typed on the spot. Each is kept
        in the session, and in your library if you like.
      </p>
      <div v-if="settings" class="my-3 divide-y divide-rule border-y border-rule">
        <WhoTakesPart v-model:of-class="ofClass" v-model:known="settings.known" />
        <UiField
          v-model="title"
          label="The session is called"
          :error="failure?.field === 'title' ? failure.sentence : undefined"
          class="py-3"
        />
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">What students see, and when</summary>
          <WhatIsTold v-model="settings" />
        </details>
      </div>
      <p v-else-if="!failure" class="py-6 text-slate" role="status">One moment…</p>
      <p v-if="failure && failure.field !== 'title'" role="alert" class="mb-3 text-wrong">
        {{ failure.sentence }}
      </p>
      <div ref="doors" class="flex flex-wrap gap-3">
        <UiButton type="submit" look="main" size="large" :disabled="!settings || busy">{{
          busy ? 'Opening the doors…' : 'Open the doors'
        }}</UiButton>
        <UiButton size="large" look="quiet" @click="emit('close')">Not now</UiButton>
      </div>
    </form>
  </UiDialog>
</template>
