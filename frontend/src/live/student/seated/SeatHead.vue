<script setup lang="ts">
/** What stands above everything: a line that is down, words of the teacher, and what is told to who cannot see. */
import type { LineStatus } from '@/api/live'
import type { Told } from '@/api/types'
import TeacherWords from './TeacherWords.vue'
import type { SentState } from './useSeat'
import { t } from './words'

defineProps<{
  status: LineStatus
  state: SentState
  /** What the teacher wrote to all, and to this one. */
  words: (Told | null | undefined)[]
  spoken: string
  token?: string
}>()
</script>

<template>
  <p
    v-if="status !== 'online'"
    role="status"
    class="mb-4 rounded border border-lamp-ink bg-lamp-wash px-3 py-2 text-lamp-ink"
  >
    {{ t('no_connection') }} {{ t(state === 'sending' ? 'answer_waits' : 'back_by_yourself') }}
  </p>
  <TeacherWords v-if="token" :words="words" :token="token" />
  <p class="sr-only" role="status" aria-live="polite">{{ spoken }}</p>
</template>
