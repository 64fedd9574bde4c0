<script setup lang="ts">
import UiButton from '@/ui/UiButton.vue'
import { useRecorder } from './useRecorder'
import { t } from './words'

defineProps<{ busy: boolean }>()
const emit = defineEmits<{ file: [file: File] }>()
const { state, seconds, error, file, url, start, stop, forget } = useRecorder()
</script>

<template>
  <div>
    <p class="mb-3 text-slate">{{ t('speak_into_the_microphone') }}</p>
    <p v-if="error" role="alert" class="mb-3 text-wrong">{{ error }}</p>
    <UiButton v-if="state === 'idle'" look="main" @click="start">{{ t('start_recording') }}</UiButton>
    <div v-else-if="state === 'recording'" class="flex items-center gap-4">
      <UiButton look="main" @click="stop">{{ t('stop') }}</UiButton>
      <span role="status" class="figure">{{ t('recording_s', { seconds }) }}</span>
    </div>
    <div v-else class="space-y-3">
      <audio :src="url" controls class="w-full" :aria-label="t('your_recording')" />
      <div class="flex gap-3">
        <UiButton look="main" :disabled="busy" @click="file && emit('file', file)">{{
          t('keep_the_recording')
        }}</UiButton>
        <UiButton @click="forget">{{ t('record_again') }}</UiButton>
      </div>
    </div>
  </div>
</template>
