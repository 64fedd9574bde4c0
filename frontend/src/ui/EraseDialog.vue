<script setup lang="ts">
/** Asks before a name is erased: nothing brings it back. */
import UiButton from './UiButton.vue'
import UiDialog from './UiDialog.vue'

defineProps<{ name: string | null }>()
const emit = defineEmits<{ erase: []; close: [] }>()
</script>

<template>
  <UiDialog :open="name !== null" :title="`Erase the name “${name}”?`" @close="emit('close')">
    <p>
      The name is gone from this session for good: from its pages, the workbook and the database. The answers
      stay, as those of somebody without a name, so the figures of the class do not change.
    </p>
    <div class="mt-5 flex gap-3">
      <UiButton look="main" @click="emit('erase')">Erase the name</UiButton>
      <UiButton @click="emit('close')">Keep it</UiButton>
    </div>
  </UiDialog>
</template>
