<script setup lang="ts">
/** A standing code where not just one session is running: to choose one, or to wait for it. */
import type { CodeInfo } from '@/api/types'

defineProps<{ info: CodeInfo }>()
const emit = defineEmits<{ choose: [code: string] }>()
</script>

<template>
  <div v-if="info.running?.length" class="mt-4">
    <p class="mb-2 font-bold">Several things are running. Which one?</p>
    <ul class="space-y-2">
      <li v-for="one in info.running" :key="one.code">
        <button
          type="button"
          class="min-h-11 w-full rounded border border-ink bg-sheet px-4 py-3 text-left text-lg font-bold wrap-anywhere"
          @click="emit('choose', one.code)"
        >
          {{ one.title || 'Untitled set' }}
        </button>
      </li>
    </ul>
  </div>
  <p v-else class="mt-4 text-lg" role="status">
    Nothing is running in {{ info.class_name }} just now. Keep this page open: it goes on by itself.
  </p>
</template>
