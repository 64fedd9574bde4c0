<script setup lang="ts">
/** The rules of a game, read aloud to the room: by the button, or by L. */
import { useEventListener } from '@vueuse/core'
import { onScopeDispose, ref } from 'vue'
import type { Rules } from '@/games/gameViews'
import { language } from '@/words'
import { t } from './words'

const props = defineProps<{ rules: Rules }>()
const audio = ref<HTMLAudioElement | null>(null)
const failed = ref(false)

function stop(): void {
  audio.value?.pause()
  audio.value = null
}

function read(): void {
  if (audio.value) return stop()
  const { name, lines, wins } = props.rules
  const text = [name, ...lines, wins].map((line) => line.replace(/[.!?]?$/, '.')).join(' ')
  const sound = new Audio(`/api/media/speech?${new URLSearchParams({ text, voice: language.value })}`)
  failed.value = false
  sound.onended = stop
  sound.onerror = () => {
    failed.value = true
    stop()
  }
  audio.value = sound
  void sound.play().catch(stop)
}
useEventListener(document, 'keydown', (event: KeyboardEvent) => {
  if (event.key.toLowerCase() === 'l' && !event.ctrlKey && !event.metaKey && !event.altKey) read()
})
onScopeDispose(stop)
</script>

<template>
  <button
    type="button"
    class="mt-[0.6em] rounded border border-line px-[0.6em] py-[0.15em] text-soft hover:text-front"
    :aria-pressed="!!audio"
    @click="read"
  >
    {{ audio ? t('stop_reading') : t('read_aloud') }} (L)
  </button>
  <span v-if="failed" role="alert" class="ms-3 text-soft">{{ t('not_read_aloud') }}</span>
</template>
