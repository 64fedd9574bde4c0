<script setup lang="ts">
/** A few words to one student, or to everybody: they stand on the device until they have been read. */
import { ref, watch } from 'vue'
import { field } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import type { Desk } from './useDesk'
import { t } from './words'
import { t as common } from '@/ui/words'

export interface WrittenTo {
  seat: number | null
  name: string
}
const props = defineProps<{ to: WrittenTo | null; desk: Desk }>()
const emit = defineEmits<{ close: [] }>()
const text = ref('')
watch(
  () => props.to,
  () => (text.value = ''),
)

async function send(): Promise<void> {
  if (text.value.trim() && (await props.desk.write(text.value, props.to?.seat ?? null))) emit('close')
}
</script>

<template>
  <UiDialog :open="!!to" :title="t('write_to', { name: to?.name ?? '' })" @close="emit('close')">
    <form @submit.prevent="send">
      <label class="block"
        ><span class="mb-1 block">{{ t('it_stands_on_the_device_until') }}</span>
        <textarea
          v-model="text"
          rows="3"
          maxlength="300"
          :class="field"
          class="w-full"
          @keydown.ctrl.enter="send"
        />
      </label>
      <div class="mt-4 flex gap-3">
        <UiButton look="main" type="submit" :disabled="!text.trim()">{{ t('send') }}</UiButton>
        <UiButton @click="emit('close')">{{ common('not_now') }}</UiButton>
      </div>
    </form>
  </UiDialog>
</template>
