<script setup lang="ts">
/** A device that several share: all who sit at it. */
import { input, type Asking, type Who } from './who'
import { t } from '../words'

defineProps<Asking>()
const who = defineModel<Who>({ required: true })
</script>

<template>
  <label for="names" class="mb-1 block font-bold">{{ t('names_at_device') }}</label>
  <input
    id="names"
    :value="who.name"
    :class="input"
    autocomplete="off"
    maxlength="80"
    :aria-invalid="!!errors.name"
    aria-describedby="names-note names-hint"
    @input="who = { name: ($event.target as HTMLInputElement).value }"
  />
  <p id="names-hint" class="mt-1 text-slate">{{ t('names_hint') }}</p>
  <p id="names-note" class="mt-2 min-h-6 text-wrong" role="status">{{ errors.name }}</p>
</template>
