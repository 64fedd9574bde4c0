<script setup lang="ts">
import { input, type Asking, type Who } from './who'
import { t } from '../words'

defineProps<Asking>()
const who = defineModel<Who>({ required: true })
</script>

<template>
  <label for="name" class="mb-1 block font-bold">{{ t('name_class_sees') }}</label>
  <input
    id="name"
    :value="who.name"
    :class="input"
    autocomplete="nickname"
    maxlength="40"
    :aria-invalid="!!errors.name"
    aria-describedby="name-note"
    @input="who = { name: ($event.target as HTMLInputElement).value }"
  />
  <p id="name-note" class="mt-2 min-h-6 text-wrong" role="status">{{ errors.name }}</p>
</template>
