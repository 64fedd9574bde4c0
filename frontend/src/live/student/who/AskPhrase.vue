<script setup lang="ts">
import { input, type Asking, type Who } from './who'

defineProps<Asking>()
const who = defineModel<Who>({ required: true })
</script>

<template>
  <label for="phrase" class="mb-1 block font-bold">Your pass phrase</label>
  <input
    id="phrase"
    :value="who.phrase"
    :class="input"
    autocomplete="off"
    autocapitalize="none"
    spellcheck="false"
    maxlength="100"
    placeholder="three words"
    :aria-invalid="!!errors.phrase"
    aria-describedby="phrase-note"
    @input="who = { phrase: ($event.target as HTMLInputElement).value }"
  />
  <p id="phrase-note" class="mt-2 min-h-6" :class="errors.phrase ? 'text-wrong' : 'text-slate'" role="status">
    {{ errors.phrase ?? 'The three words on your slip. They say who you are.' }}
  </p>
</template>
