<script setup lang="ts">
/** A session with nothing prepared: who takes part, and the doors are open. */
import { ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, data } from '@/api/http'
import { Refusal } from '@/api/refusal'
import { sentenceOf } from '@/told'
import type { Settings } from '@/api/types'
import { dateOf } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiField from '@/ui/UiField.vue'
import WhatIsTold from './WhatIsTold.vue'
import WhoTakesPart from './WhoTakesPart.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const title = ref(t('asked_on', { date: dateOf(new Date().toISOString()) }))
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
  <UiDialog open wide :title="t('start_without_a_set')" @close="emit('close')">
    <form @submit.prevent="open">
      <p>
        {{ t('you_ask_as_you_go_letters') }}
      </p>
      <div v-if="settings" class="my-3 divide-y divide-rule border-y border-rule">
        <WhoTakesPart v-model:of-class="ofClass" v-model:known="settings.known" />
        <UiField
          v-model="title"
          :label="t('the_session_is_called')"
          :error="failure?.field === 'title' ? failure.sentence : undefined"
          class="py-3"
        />
        <details>
          <summary class="min-h-11 cursor-pointer py-2.5 font-bold">
            {{ t('what_students_see_and_when') }}
          </summary>
          <WhatIsTold v-model="settings" />
        </details>
      </div>
      <p v-else-if="!failure" class="py-6 text-slate" role="status">{{ t('one_moment') }}</p>
      <p v-if="failure && failure.field !== 'title'" role="alert" class="mb-3 text-wrong">
        {{ failure.sentence }}
      </p>
      <div ref="doors" class="flex flex-wrap gap-3">
        <UiButton type="submit" look="main" size="large" :disabled="!settings || busy">{{
          busy ? t('opening_the_doors') : t('open_the_doors')
        }}</UiButton>
        <UiButton size="large" look="quiet" @click="emit('close')">{{ common('not_now') }}</UiButton>
      </div>
    </form>
  </UiDialog>
</template>
