<script setup lang="ts">
/** Reads the question aloud, part after part, and follows the words on the screen. */
import { onScopeDispose, ref } from 'vue'
import type { SpokenPart } from '@/api/types'
import { follow, unfollow } from './followed'
import { playWav } from '@/composables/played'
import { toldOf } from '../told'
import { t } from './words'
import { t as atTheDoor } from '../words'

const props = defineProps<{ speak: (part: string, start: number) => Promise<SpokenPart> }>()
const speaking = ref(false)
const error = ref('')
let audio: HTMLAudioElement | null = null

/** What is marked as read, as it stands on the page: the options that this student is shown, and no others. */
const partsHere = (): string[] =>
  [...document.querySelectorAll<HTMLElement>('[data-read]')].map((one) => one.dataset.read!)

function stop(): void {
  speaking.value = false
  audio?.pause()
  audio = null
  unfollow()
}

async function play(part: string, spoken: SpokenPart): Promise<void> {
  const sound = playWav(spoken.wav)
  audio = sound.audio
  const followed = follow(part, spoken, () => sound.audio.currentTime * 1000)
  await sound.over
  followed()
}

async function toggle(): Promise<void> {
  if (speaking.value) return stop()
  speaking.value = true
  error.value = ''
  try {
    for (const part of partsHere()) {
      // A long text comes in stretches.
      for (let start = 0, of = 1; start < of;) {
        const spoken = await props.speak(part, start)
        if (!speaking.value) return
        await play(part, spoken)
        if (!speaking.value) return
        of = spoken.of
        start += spoken.words.length
      }
    }
  } catch (failure) {
    error.value = toldOf(failure)
  }
  stop()
}

onScopeDispose(stop)
</script>

<template>
  <button
    type="button"
    class="mb-3 min-h-11 rounded border border-ink bg-sheet px-4 py-2 font-bold"
    :aria-pressed="speaking"
    @click="toggle"
  >
    {{ speaking ? t('stop_reading') : atTheDoor('read_aloud') }}
  </button>
  <p v-if="error" role="alert" class="mb-2 text-wrong">{{ error }}</p>
</template>
