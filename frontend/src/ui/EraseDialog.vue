<script setup lang="ts">
/** Asks before a name is erased: nothing brings it back. */
import UiButton from './UiButton.vue'
import UiDialog from './UiDialog.vue'
import { t } from './words'

defineProps<{ name: string | null }>()
const emit = defineEmits<{ erase: []; close: [] }>()
</script>

<template>
  <UiDialog :open="name !== null" :title="t('erase_the_name', { name: name ?? '' })" @close="emit('close')">
    <p>
      {{ t('the_name_is_gone_from_this') }}
    </p>
    <div class="mt-5 flex gap-3">
      <UiButton look="main" @click="emit('erase')">{{ t('erase_the_name_2') }}</UiButton>
      <UiButton @click="emit('close')">{{ t('keep_it') }}</UiButton>
    </div>
  </UiDialog>
</template>
