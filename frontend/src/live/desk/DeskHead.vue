<script setup lang="ts">
import type { LineStatus } from '@/api/live'
import type { DeskView } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import { counted } from '@/composables/format'
import LanternMark from '@/ui/LanternMark.vue'
import UiButton from '@/ui/UiButton.vue'

defineProps<{ view: DeskView; status: LineStatus }>()
const emit = defineEmits<{ screen: []; notes: [] }>()
</script>

<template>
  <header class="on-dark flex min-h-13 flex-wrap items-center gap-x-6 gap-y-1 bg-hull px-5 py-1.5 text-spray">
    <RouterLink to="/sets" class="text-foam" aria-label="Tall Lantern: your sets"><LanternMark /></RouterLink>
    <p class="figure min-w-40 grow basis-0 truncate text-xl text-foam">{{ view.title || 'Untitled set' }}</p>
    <p role="status" :class="status !== 'online' && 'rounded bg-lamp px-2 font-bold text-ink'">
      {{ status === 'online' ? '' : status === 'offline' ? 'No connection. Trying again…' : 'Connecting…' }}
    </p>
    <p v-if="view.locked && view.phase !== 'ended'" class="font-bold text-beam">Doors locked</p>
    <p v-else-if="view.phase !== 'ended'">
      Join code <span class="figure ml-2 text-xl tracking-wider text-beam">{{ spacedCode(view.code) }}</span>
    </p>
    <button
      v-if="view.notes.length"
      type="button"
      class="rounded bg-lamp px-2.5 py-1 font-bold text-ink"
      @mousedown.prevent
      @click="emit('notes')"
    >
      {{ counted(view.notes.length, 'note') }}
    </button>
    <p>{{ view.here }} here</p>
    <UiButton look="dark" @mousedown.prevent @click="emit('screen')">Open the big screen</UiButton>
  </header>
</template>
