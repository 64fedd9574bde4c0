<script setup lang="ts">
import type { Conflict } from '@/api/types'
import UiButton from '@/ui/UiButton.vue'

defineProps<{ conflict: Conflict }>()
const emit = defineEmits<{ settle: [keep: 'mine' | 'theirs'] }>()
</script>

<template>
  <div
    role="alert"
    class="mb-2 flex flex-wrap items-center gap-3 rounded border border-lamp-ink bg-lamp-wash px-3 py-2 text-[15px]"
  >
    <p class="grow">
      <template v-if="conflict.theirs">
        This was changed in another window meanwhile: <b>“{{ conflict.theirs.prompt }}”</b>. Nothing has been
        overwritten.
      </template>
      <template v-else>This was removed in another window meanwhile. Your version is still here.</template>
    </p>
    <UiButton size="small" @click="emit('settle', 'mine')">Keep mine</UiButton>
    <UiButton size="small" @click="emit('settle', 'theirs')">{{
      conflict.theirs ? 'Take the other' : 'Remove it here too'
    }}</UiButton>
  </div>
</template>
