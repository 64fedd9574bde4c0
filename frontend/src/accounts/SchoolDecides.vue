<script setup lang="ts">
/** What the school decides for all: a teacher may decide otherwise for one session. */
import { ref } from 'vue'
import { api, data } from '@/api/http'
import type { SchoolDetail, SchoolSettings, WouldGo } from '@/api/types'
import { useForm } from '@/composables/useForm'
import UiButton from '@/ui/UiButton.vue'
import UiField from '@/ui/UiField.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { field } from '@/ui/recipes'
import { KNOWN } from '@/composables/known'
import SchoolLanguages from './SchoolLanguages.vue'
import WhatGoes from './WhatGoes.vue'

const props = defineProps<{
  school: SchoolDetail
  isKeeper: boolean
  change: (name: string, settings: SchoolSettings) => Promise<void>
}>()
const { settings } = props.school
const name = ref(props.school.name)
const known = ref(settings.known)
const recordIds = ref(settings.record_ids)
const pattern = ref(settings.pattern)
const more = ref(settings.more_words.join('\n'))
const fewer = ref(settings.fewer_words.join('\n'))
const months = ref(settings.keep_months ? String(settings.keep_months) : '')
const sessionMonths = ref(settings.keep_sessions_months ? String(settings.keep_sessions_months) : '')
const confirmMail = ref(settings.confirm_mail)
const languages = ref(settings.languages)
const zone = ref(settings.time_zone ?? 'UTC')
const ZONES = [...new Set(['UTC', zone.value, ...Intl.supportedValuesOf('timeZone')])]
const { busy, errors, submit } = useForm()
const RECORD_IDS = { any: 'anything', email: 'an e-mail address', pattern: 'what fits a pattern' }
const lines = (text: string): string[] =>
  [...new Set(text.split('\n').map((one) => one.trim()))].filter(Boolean)

const decided = (): SchoolSettings => ({
  known: known.value,
  record_ids: recordIds.value,
  pattern: pattern.value.trim(),
  more_words: lines(more.value),
  fewer_words: lines(fewer.value),
  confirm_mail: confirmMail.value,
  languages: languages.value,
  time_zone: zone.value,
  keep_months: Number(months.value) || null,
  keep_sessions_months: Number(sessionMonths.value) || null,
})
/** What goes at once, where something does: it is decided only once that has been seen. */
const goes = ref<WouldGo | null>(null)

async function save(): Promise<void> {
  await submit(async () => {
    const found = await data(api.POST('/api/school/would-go', { body: decided() }))
    if (found.names.sessions || found.whole.sessions) goes.value = found
    else await props.change(name.value, decided())
  })
}
async function saveAllTheSame(): Promise<void> {
  goes.value = null
  await submit(() => props.change(name.value, decided()))
}
</script>

<template>
  <form class="rounded border border-rule bg-sheet p-6" novalidate @submit.prevent="save">
    <h2 class="text-xl">What the school decides</h2>
    <p class="mb-4 text-[15px] text-slate">
      {{
        isKeeper
          ? 'For all teachers. Each can set it aside for one session.'
          : 'A keeper of the school can change it.'
      }}
    </p>
    <fieldset :disabled="!isKeeper" class="space-y-4">
      <UiField v-model="name" label="Name of the school" :error="errors.name" />
      <label class="block"
        ><span class="mb-1 block font-bold">Its clocks</span>
        <select v-model="zone" :class="field">
          <option v-for="one in ZONES" :key="one" :value="one">{{ one.replace(/_/g, ' ') }}</option>
        </select>
        <span class="mt-1 block text-[15px] text-slate">Set work opens and is due by them.</span>
      </label>
      <label class="block"
        ><span class="mb-1 block font-bold">Students are known by</span>
        <select v-model="known" :class="field">
          <option v-for="(words, one) in KNOWN" :key="one" :value="one">{{ words.label }}</option>
        </select>
      </label>
      <div class="grid gap-4 sm:grid-cols-2">
        <label class="block"
          ><span class="mb-1 block font-bold">A record ID is</span>
          <select v-model="recordIds" :class="field">
            <option v-for="(words, one) in RECORD_IDS" :key="one" :value="one">{{ words }}</option>
          </select>
        </label>
        <UiField
          v-if="recordIds === 'pattern'"
          v-model="pattern"
          label="Pattern"
          hint="# a figure, ? a letter, * any of them: GB-####"
          :error="errors['form.settings.pattern']"
        />
      </div>
      <UiSwitch
        v-if="recordIds !== 'pattern'"
        v-model="confirmMail"
        label="Confirm e-mail addresses"
        hint="Who gives an address as record ID gets a message with a link; reports say who has opened it."
      />
      <SchoolLanguages v-model="languages" />
      <UiField
        v-model="months"
        label="Names stay in sessions for so many months"
        type="number"
        hint="Then they are erased, and the figures stay. Empty: until somebody erases them."
        :error="errors['form.settings.keep_months'] ?? errors['settings.keep_months']"
      />
      <UiField
        v-model="sessionMonths"
        label="Sessions stay for so many months"
        type="number"
        hint="Then they go with all that was in them. Empty: until somebody deletes them."
        :error="errors['form.settings.keep_sessions_months'] ?? errors['settings.keep_sessions_months']"
      />
      <div class="grid gap-4 sm:grid-cols-2">
        <label class="block"
          ><span class="mb-1 block font-bold">Also unfit as names</span>
          <textarea v-model="more" rows="3" :class="field" spellcheck="false" />
          <span class="text-[15px] text-slate"
            >One a line. A list in several languages is there already.</span
          >
        </label>
        <label class="block"
          ><span class="mb-1 block font-bold">Let through all the same</span>
          <textarea v-model="fewer" rows="3" :class="field" spellcheck="false" />
          <span class="text-[15px] text-slate">Words of that list that are names here.</span>
        </label>
      </div>
    </fieldset>
    <p v-if="errors['']" role="alert" class="mt-3 text-wrong">{{ errors[''] }}</p>
    <UiButton v-if="isKeeper" type="submit" look="main" class="mt-5" :disabled="busy">Decide it so</UiButton>
    <WhatGoes v-if="goes" :goes="goes" @decide="saveAllTheSame" @close="goes = null" />
  </form>
</template>
