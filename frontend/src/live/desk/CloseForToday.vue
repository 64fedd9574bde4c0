<script setup lang="ts">
/** Until another day: everything is kept as it stands, under a name of its own. */
import { ref, watch } from 'vue'
import { api } from '@/api/http'
import { sentenceOf } from '@/told'
import { smallField } from '@/ui/recipes'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'
import type { Desk } from './useDesk'
import { t } from './words'

const props = defineProps<{ open: boolean; session: number; title: string; desk: Desk }>()
const emit = defineEmits<{ close: [] }>()
const name = ref('')
const failure = ref('')
watch(
  () => props.open,
  (now) => now && ((name.value = props.title), (failure.value = '')),
)

async function close(): Promise<void> {
  failure.value = ''
  try {
    if (name.value.trim() && name.value.trim() !== props.title) {
      const params = { path: { session_id: props.session } }
      await api.PATCH('/api/sessions/{session_id}', { params, body: { title: name.value.trim() } })
    }
    if (await props.desk.pause(true)) emit('close')
  } catch (error) {
    failure.value = sentenceOf(error)
  }
}
</script>

<template>
  <UiDialog :open="open" :title="t('close_it_for_today')" @close="emit('close')">
    <p>
      {{ t('everything_stands') }}
    </p>
    <label class="mt-4 block font-bold"
      >{{ t('kept_as') }}
      <input v-model="name" type="text" maxlength="200" :class="smallField" class="mt-1 w-full font-normal" />
    </label>
    <p v-if="failure" role="alert" class="mt-2 text-wrong">{{ failure }}</p>
    <div class="mt-5 flex gap-3">
      <UiButton look="main" @click="close">{{ t('close_for_today') }}</UiButton>
      <UiButton @click="emit('close')">{{ t('go_on_with_it') }}</UiButton>
    </div>
  </UiDialog>
</template>
