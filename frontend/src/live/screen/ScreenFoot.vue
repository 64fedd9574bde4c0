<script setup lang="ts">
import { computed } from 'vue'
import type { ScreenView, SessionInfo } from '@/api/types'
import { spacedCode } from '@/composables/codes'

const props = defineProps<{
  view: ScreenView
  info: SessionInfo | null
  room: 'night' | 'day'
  offline: boolean
}>()
const emit = defineEmits<{ room: []; full: [] }>()

const address = computed(() => props.info?.join_url.replace(/^https?:\/\//, '').replace(/\/[^/]+$/, '') ?? '')
const showsCode = computed(() => !['lobby', 'ended'].includes(props.view.phase))
const quiet =
  'rounded px-2 text-[18px] text-soft opacity-0 group-hover:opacity-100 hover:text-front focus-visible:opacity-100'
</script>

<template>
  <footer class="flex flex-wrap items-baseline gap-x-[1em] gap-y-2 pt-[2vh] text-[max(18px,0.7em)] text-soft">
    <p v-if="offline" role="alert" class="font-bold text-light">No connection. Trying again…</p>
    <p v-else-if="view.locked && view.phase !== 'ended'">The doors are locked.</p>
    <p v-else-if="showsCode">
      Join at <b class="font-display text-[1.25em] text-light">{{ address }}</b> with
      <b class="figure text-[1.25em] tracking-wider whitespace-nowrap text-light">{{
        spacedCode(view.code)
      }}</b>
    </p>
    <span class="grow" />
    <button type="button" :class="quiet" @click="emit('room')">
      {{ room === 'night' ? 'Bright room' : 'Dark room' }}
    </button>
    <button type="button" :class="quiet" @click="emit('full')">Full screen (F)</button>
    <p v-if="view.shown?.number" role="status">{{ view.answered }} of {{ view.people }} have answered</p>
  </footer>
</template>
