<script setup lang="ts">
import UiButton from '@/ui/UiButton.vue'
import { useRecorder } from './useRecorder'

defineProps<{ busy: boolean }>()
const emit = defineEmits<{ file: [file: File] }>()
const { state, seconds, error, file, url, start, stop, forget } = useRecorder()
</script>

<template>
  <div>
    <p class="mb-3 text-slate">Speak into the microphone of this device. You hear it before it is kept.</p>
    <p v-if="error" role="alert" class="mb-3 text-wrong">{{ error }}</p>
    <UiButton v-if="state === 'idle'" look="main" @click="start">Start recording</UiButton>
    <div v-else-if="state === 'recording'" class="flex items-center gap-4">
      <UiButton look="main" @click="stop">Stop</UiButton>
      <span role="status" class="figure">Recording, {{ seconds }} s</span>
    </div>
    <div v-else class="space-y-3">
      <audio :src="url" controls class="w-full" aria-label="Your recording" />
      <div class="flex gap-3">
        <UiButton look="main" :disabled="busy" @click="file && emit('file', file)"
          >Keep the recording</UiButton
        >
        <UiButton @click="forget">Record again</UiButton>
      </div>
    </div>
  </div>
</template>
