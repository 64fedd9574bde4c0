<script setup lang="ts">
/** Name, subject, year and alphabet of a class: of a new one, of one that is changed, or of the same class in another year. */
import { ref } from 'vue'
import type { ClassForm } from '@/api/types'
import { useForm } from '@/composables/useForm'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import UiField from '@/ui/UiField.vue'
import UiSwitch from '@/ui/UiSwitch.vue'
import { LANGUAGES, language } from '@/words'
import { field } from '@/ui/recipes'
import { t } from './words'
import { t as common } from '@/ui/words'

const props = defineProps<{
  title: string
  /** What the button says. */
  verb: string
  start?: ClassForm
  /** A copy asks whether the members come along. */
  copies?: boolean
  save: (form: ClassForm, withMembers: boolean) => Promise<unknown>
}>()
const emit = defineEmits<{ close: [] }>()

const name = ref(props.start?.name ?? '')
const subject = ref(props.start?.subject ?? '')
const year = ref(props.start?.year ?? '')
const alphabet = ref(props.start?.language || language.value)
const withMembers = ref(true)
const { busy, errors, submit } = useForm()

async function finish(): Promise<void> {
  const form = { name: name.value, subject: subject.value, year: year.value, language: alphabet.value }
  if (await submit(() => props.save(form, withMembers.value))) emit('close')
}
</script>

<template>
  <UiDialog open :title="title" @close="emit('close')">
    <form class="space-y-4" novalidate @submit.prevent="finish">
      <p v-if="errors['']" role="alert" class="text-wrong">{{ errors[''] }}</p>
      <UiField
        v-model="name"
        :label="common('name')"
        :hint="t('as_it_stands_in_the_timetable')"
        :error="errors.name"
      />
      <div class="grid gap-4 sm:grid-cols-2">
        <UiField v-model="subject" :label="t('subject')" :error="errors.subject" />
        <UiField v-model="year" :label="t('year')" :hint="t('as_2026_27')" :error="errors.year" />
      </div>
      <label class="block font-bold"
        >{{ t('alphabet') }}
        <select v-model="alphabet" :class="field" class="mt-1 font-normal">
          <option v-for="(own, tag) in LANGUAGES" :key="tag" :value="tag" :lang="tag">{{ own }}</option>
        </select>
      </label>
      <UiSwitch
        v-if="copies"
        v-model="withMembers"
        :label="t('take_the_members_along')"
        :hint="t('they_are_the_same_people')"
      />
      <div class="flex gap-3 pt-1">
        <UiButton type="submit" look="main" :disabled="busy">{{ verb }}</UiButton>
        <UiButton @click="emit('close')">{{ common('not_now') }}</UiButton>
      </div>
    </form>
  </UiDialog>
</template>
