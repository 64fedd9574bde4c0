<script setup lang="ts">
/** A place to drop a file on, or to choose one. */
import { ref } from 'vue'
import UiButton from './UiButton.vue'
import { t } from './words'

defineProps<{
  busy: boolean
  /** What is said while it is read. */
  reading: string
}>()
const emit = defineEmits<{ file: [file: File] }>()
const over = ref(false)
const chooser = ref<HTMLInputElement>()

function drop(event: DragEvent): void {
  over.value = false
  const file = event.dataTransfer?.files[0]
  if (file) emit('file', file)
}

function choose(): void {
  const file = chooser.value?.files?.[0]
  if (file) emit('file', file)
  if (chooser.value) chooser.value.value = ''
}
</script>

<template>
  <div
    class="mt-2 rounded border-2 border-dashed px-5 py-7 text-center"
    :class="over ? 'border-tide bg-tide-wash' : 'border-edge'"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="drop"
  >
    <p>{{ t('drop_it_here_or') }}</p>
    <UiButton class="mt-2" :disabled="busy" @click="chooser?.click()">{{ t('choose_a_file') }}</UiButton>
    <p role="status" class="mt-2 text-slate">{{ busy ? reading : '' }}</p>
    <input ref="chooser" type="file" class="sr-only" tabindex="-1" :aria-label="t('file')" @change="choose" />
  </div>
</template>
