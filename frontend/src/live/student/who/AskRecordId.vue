<script setup lang="ts">
/** The record ID first, then the name that the others see. */
import { input, type Asking, type Who } from './who'

defineProps<Asking>()
const who = defineModel<Who>({ required: true })
const text = (event: Event): string => (event.target as HTMLInputElement).value
</script>

<template>
  <label for="record" class="mb-1 block font-bold">Your record ID</label>
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
    @input="who = { ...who, record_id: text($event) }"
  />
  <p
    id="record-note"
    class="mt-1 min-h-6 text-[15px]"
    :class="errors.record_id ? 'text-wrong' : 'text-slate'"
    role="status"
  >
    {{ errors.record_id ?? 'Your school’s number or e-mail. Only your teacher’s reports show it.' }}
  </p>
  <label for="name" class="mt-3 mb-1 block font-bold">Name the class will see</label>
  <input
    id="name"
    :value="who.name"
    :class="input"
    autocomplete="nickname"
    maxlength="40"
    :aria-invalid="!!errors.name"
    aria-describedby="name-note"
    @input="who = { ...who, name: text($event) }"
  />
  <p id="name-note" class="mt-2 min-h-6 text-wrong" role="status">{{ errors.name }}</p>
</template>
