<script setup lang="ts">
/** What a school's rule takes away at once: seen before it is decided. */
import type { WouldGo } from '@/api/types'
import { counted } from '@/composables/format'
import UiButton from '@/ui/UiButton.vue'
import UiDialog from '@/ui/UiDialog.vue'

const props = defineProps<{ goes: WouldGo }>()
const emit = defineEmits<{ decide: []; close: [] }>()
const parts = [
  { what: props.goes.names, words: 'Names are erased in' },
  { what: props.goes.whole, words: 'For good, with all that was in them, go' },
].filter((part) => part.what.sessions)
</script>

<template>
  <UiDialog open title="Something goes at once" @close="emit('close')">
    <p class="text-slate">
      It is older than what you have decided now. It goes within ten minutes, for good.
    </p>
    <div v-for="part in parts" :key="part.words" class="mt-3">
      <p>
        {{ part.words }} <b>{{ counted(part.what.sessions, 'session') }}</b>, of
        {{ counted(part.what.students, 'student') }}:
      </p>
      <ul class="list-inside list-disc text-[15px]">
        <li v-for="(title, at) in part.what.first" :key="at" class="wrap-anywhere">
          {{ title || 'Untitled set' }}
        </li>
        <li v-if="part.what.sessions > part.what.first.length" class="list-none text-slate">
          and {{ part.what.sessions - part.what.first.length }} more
        </li>
      </ul>
    </div>
    <div class="mt-5 flex gap-3">
      <UiButton look="danger" @click="emit('decide')">Decide it so</UiButton>
      <UiButton @click="emit('close')">Leave it</UiButton>
    </div>
  </UiDialog>
</template>
