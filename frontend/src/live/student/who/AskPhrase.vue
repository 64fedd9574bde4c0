<script setup lang="ts">
import { input, type Asking, type Who } from './who'
import { t } from '../words'

defineProps<Asking>()
const who = defineModel<Who>({ required: true })
</script>

<template>
  <label for="phrase" class="mb-1 block font-bold">{{ t('your_phrase') }}</label>
  <input
    id="phrase"
    :value="who.phrase"
    :class="input"
    autocomplete="off"
    autocapitalize="none"
    spellcheck="false"
    maxlength="100"
    :placeholder="t('three_words')"
    :aria-invalid="!!errors.phrase"
    aria-describedby="phrase-note"
    @input="who = { phrase: ($event.target as HTMLInputElement).value }"
  />
  <p id="phrase-note" class="mt-2 min-h-6" :class="errors.phrase ? 'text-wrong' : 'text-slate'" role="status">
    {{ errors.phrase ?? t('phrase_hint') }}
  </p>
</template>
