<script setup lang="ts">
/** A nickname that is made: one tap for another. */
import { ref } from 'vue'
import { sentenceOf } from '@/api/refusal'
import { ownLanguage } from '../guest'
import { makeName } from '../request'
import { joinKey } from '../seat'
import type { Asking, Who } from './who'

const props = defineProps<Asking>()
const who = defineModel<Who>({ required: true })
const busy = ref(false)
const error = ref('')

async function another(): Promise<void> {
  busy.value = true
  error.value = ''
  try {
    who.value = { made: await makeName(props.info.code, ownLanguage(), joinKey()) }
  } catch (failure) {
    error.value = sentenceOf(failure)
  } finally {
    busy.value = false
  }
}

void another()
</script>

<template>
  <p class="font-bold">In this session you are</p>
  <p class="figure mt-1 text-3xl wrap-anywhere" role="status" dir="auto">{{ who.made?.name ?? '…' }}</p>
  <button
    type="button"
    class="mt-3 min-h-11 rounded border border-ink bg-sheet px-4 py-2 font-bold disabled:opacity-45"
    :disabled="busy"
    @click="another"
  >
    Another name
  </button>
  <p role="alert" class="mt-2 text-wrong">{{ errors.name ?? error }}</p>
</template>
