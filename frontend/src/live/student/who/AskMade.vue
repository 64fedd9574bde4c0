<script setup lang="ts">
/** A nickname that is made: one tap for another. */
import { ref, watch } from 'vue'
import { makeName } from '../request'
import { joinKey } from '../seat'
import type { Asking, Who } from './who'
import { language } from '@/words'
import { toldOf } from '../told'
import { t } from '../words'

const props = defineProps<Asking>()
const who = defineModel<Who>({ required: true })
const busy = ref(false)
const error = ref('')

async function another(): Promise<void> {
  busy.value = true
  error.value = ''
  try {
    who.value = { made: await makeName(props.info.code, language.value, joinKey()) }
  } catch (failure) {
    error.value = toldOf(failure)
  } finally {
    busy.value = false
  }
}

/** A name in another language is another name. */
watch(language, another, { immediate: true })
</script>

<template>
  <p class="font-bold">{{ t('in_this_session') }}</p>
  <p class="figure mt-1 text-3xl wrap-anywhere" role="status" dir="auto">{{ who.made?.name ?? '…' }}</p>
  <button
    type="button"
    class="mt-3 min-h-11 rounded border border-ink bg-sheet px-4 py-2 font-bold disabled:opacity-45"
    :disabled="busy"
    @click="another"
  >
    {{ t('another_name') }}
  </button>
  <p role="alert" class="mt-2 text-wrong">{{ errors.name ?? error }}</p>
</template>
