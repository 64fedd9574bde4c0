<script setup lang="ts">
/** A standing code where not just one session is running, or a code whose doors are closed: to choose, or to wait. */
import type { CodeInfo } from '@/api/types'
import { t } from './words'

defineProps<{ info: CodeInfo }>()
const emit = defineEmits<{ choose: [code: string] }>()
</script>

<template>
  <div v-if="info.running?.length" class="mt-4">
    <p class="mb-2 font-bold">{{ t('several_running') }}</p>
    <ul class="space-y-2">
      <li v-for="one in info.running" :key="one.code">
        <button
          type="button"
          class="min-h-11 w-full rounded border border-ink bg-sheet px-4 py-3 text-start text-lg font-bold wrap-anywhere"
          @click="emit('choose', one.code)"
        >
          {{ one.title || t('untitled') }}
        </button>
      </li>
    </ul>
  </div>
  <p v-else class="mt-4 text-lg" role="status">
    {{
      info.prepared
        ? t('not_open_yet', { title: info.title || t('untitled') })
        : t('nothing_running', { name: info.class_name ?? '' })
    }}
  </p>
</template>
