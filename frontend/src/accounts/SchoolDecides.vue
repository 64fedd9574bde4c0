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
import { knownBy } from '@/composables/known'
import SchoolLanguages from './SchoolLanguages.vue'
import WhatGoes from './WhatGoes.vue'
import { t } from './words'

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
const RECORD_IDS = { any: t('anything'), email: t('an_e_mail_address'), pattern: t('what_fits_a_pattern') }
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
    <h2 class="text-xl">{{ t('what_the_school_decides') }}</h2>
    <p class="mb-4 text-[15px] text-slate">
      {{ isKeeper ? t('for_all_teachers_each_can_set') : t('a_keeper_of_the_school_can') }}
    </p>
    <fieldset :disabled="!isKeeper" class="space-y-4">
      <UiField v-model="name" :label="t('name_of_the_school')" :error="errors.name" />
      <label class="block"
        ><span class="mb-1 block font-bold">{{ t('its_clocks') }}</span>
        <select v-model="zone" :class="field">
          <option v-for="one in ZONES" :key="one" :value="one">{{ one.replace(/_/g, ' ') }}</option>
        </select>
        <span class="mt-1 block text-[15px] text-slate">{{ t('set_work_opens_and_is_due') }}</span>
      </label>
      <label class="block"
        ><span class="mb-1 block font-bold">{{ t('students_are_known_by') }}</span>
        <select v-model="known" :class="field">
          <option v-for="(words, one) in knownBy()" :key="one" :value="one">{{ words.label }}</option>
        </select>
      </label>
      <div class="grid gap-4 sm:grid-cols-2">
        <label class="block"
          ><span class="mb-1 block font-bold">{{ t('a_record_id_is') }}</span>
          <select v-model="recordIds" :class="field">
            <option v-for="(words, one) in RECORD_IDS" :key="one" :value="one">{{ words }}</option>
          </select>
        </label>
        <UiField
          v-if="recordIds === 'pattern'"
          v-model="pattern"
          :label="t('pattern')"
          :hint="t('a_figure_a_letter_any_of')"
          :error="errors['form.settings.pattern']"
        />
      </div>
      <UiSwitch
        v-if="recordIds !== 'pattern'"
        v-model="confirmMail"
        :label="t('confirm_e_mail_addresses')"
        :hint="t('who_gives_an_address_as_record')"
      />
      <SchoolLanguages v-model="languages" />
      <UiField
        v-model="months"
        :label="t('names_stay_in_sessions_for_so')"
        type="number"
        :hint="t('then_they_are_erased_and_the')"
        :error="errors['form.settings.keep_months'] ?? errors['settings.keep_months']"
      />
      <UiField
        v-model="sessionMonths"
        :label="t('sessions_stay_for_so_many_months')"
        type="number"
        :hint="t('then_they_go_with_all_that')"
        :error="errors['form.settings.keep_sessions_months'] ?? errors['settings.keep_sessions_months']"
      />
      <div class="grid gap-4 sm:grid-cols-2">
        <label class="block"
          ><span class="mb-1 block font-bold">{{ t('also_unfit_as_names') }}</span>
          <textarea v-model="more" rows="3" :class="field" spellcheck="false" />
          <span class="text-[15px] text-slate">{{ t('one_a_line_a_list_in') }}</span>
        </label>
        <label class="block"
          ><span class="mb-1 block font-bold">{{ t('let_through_all_the_same') }}</span>
          <textarea v-model="fewer" rows="3" :class="field" spellcheck="false" />
          <span class="text-[15px] text-slate">{{ t('words_of_that_list_that_are') }}</span>
        </label>
      </div>
    </fieldset>
    <p v-if="errors['']" role="alert" class="mt-3 text-wrong">{{ errors[''] }}</p>
    <UiButton v-if="isKeeper" type="submit" look="main" class="mt-5" :disabled="busy">{{
      t('decide_it_so')
    }}</UiButton>
    <WhatGoes v-if="goes" :goes="goes" @decide="saveAllTheSame" @close="goes = null" />
  </form>
</template>
