<script setup lang="ts">
/** A few words to the teacher, which nobody else reads. */
import { nextTick, ref } from 'vue'
import type { Mine } from '@/api/types'
import { mainButton } from '../recipes'
import type { PaperLink } from './useSeat'
import { t } from './words'

const props = defineProps<{ own: PaperLink['own']; mine: Mine | null }>()
const text = ref<string | null>(null)
const failure = ref('')
const busy = ref(false)
const area = ref<HTMLTextAreaElement>()

async function open(): Promise<void> {
  text.value = ''
  failure.value = ''
  await nextTick()
  area.value?.focus()
  area.value?.form?.scrollIntoView({ block: 'nearest' })
}

async function send(): Promise<void> {
  if (!text.value?.trim()) return
  busy.value = true
  failure.value = await props.own.note(text.value)
  busy.value = false
  if (!failure.value) text.value = null
}
</script>

<template>
  <div class="mt-8 border-t border-rule pt-2">
    <p v-if="mine?.notes?.open && text === null" role="status" class="text-[15px] text-slate">
      {{ t('note_sent') }}
    </p>
    <button v-if="text === null" type="button" class="min-h-11 font-bold text-tide" @click="open">
      {{ t('write_note') }}
    </button>
    <form v-else @submit.prevent="send" @keydown.esc="text = null">
      <label for="note" class="font-bold">{{ t('write_note') }}</label>
      <p id="note-who" class="text-[15px] text-slate">{{ t('note_private') }}</p>
      <textarea
        id="note"
        ref="area"
        v-model="text"
        rows="3"
        maxlength="300"
        dir="auto"
        aria-describedby="note-who"
        class="mt-1 w-full rounded border-2 border-ink bg-sheet px-3 py-2 text-lg"
      />
      <p v-if="failure" role="alert" class="text-wrong">{{ failure }}</p>
      <button type="submit" class="mt-2" :class="mainButton" :disabled="busy || !text.trim()">
        {{ t('send_note') }}
      </button>
      <button type="button" class="min-h-11 w-full font-bold text-tide" @click="text = null">
        {{ t('not_now') }}
      </button>
    </form>
  </div>
</template>
