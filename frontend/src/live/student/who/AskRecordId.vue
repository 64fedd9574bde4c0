<script setup lang="ts">
/** The record ID first, then the name that the others see. */
import AskName from './AskName.vue'
import { input, type Asking, type Who } from './who'
import { t } from '../words'

defineProps<Asking>()
const who = defineModel<Who>({ required: true })
</script>

<template>
  <label for="record" class="mb-1 block font-bold">{{ t('your_record_id') }}</label>
  <input
    id="record"
    :value="who.record_id"
    :class="input"
    autocomplete="off"
    autocapitalize="none"
    spellcheck="false"
    maxlength="100"
    :aria-invalid="!!errors.record_id"
    aria-describedby="record-note"
    @input="who = { ...who, record_id: ($event.target as HTMLInputElement).value }"
  />
  <p
    id="record-note"
    class="mt-1 mb-3 min-h-6 text-[15px]"
    :class="errors.record_id ? 'text-wrong' : 'text-slate'"
    role="status"
  >
    {{ errors.record_id ?? t('record_id_hint') }}
  </p>
  <AskName
    :model-value="who"
    :info="info"
    :errors="errors"
    @update:model-value="who = { ...who, ...$event }"
  />
</template>
