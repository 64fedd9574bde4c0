<script setup lang="ts">
import type { LineStatus } from '@/api/live'
import type { DeskView } from '@/api/types'
import { spacedCode } from '@/composables/codes'
import LanternMark from '@/ui/LanternMark.vue'
import UiButton from '@/ui/UiButton.vue'
import { t } from './words'
import { t as common } from '@/ui/words'

defineProps<{ view: DeskView; status: LineStatus }>()
const emit = defineEmits<{ screen: []; notes: [] }>()
</script>

<template>
  <header class="on-dark flex min-h-13 flex-wrap items-center gap-x-6 gap-y-1 bg-hull px-5 py-1.5 text-spray">
    <RouterLink to="/sets" class="text-foam" :aria-label="t('tall_lantern_your_sets')"
      ><LanternMark
    /></RouterLink>
    <p class="figure min-w-40 grow basis-0 truncate text-xl text-foam">
      {{ view.title || common('untitled_set') }}
    </p>
    <p role="status" :class="status !== 'online' && 'rounded bg-lamp px-2 font-bold text-ink'">
      {{
        status === 'online' ? '' : status === 'offline' ? t('no_connection_trying_again') : t('connecting')
      }}
    </p>
    <p v-if="view.locked && view.phase !== 'ended'" class="font-bold text-beam">{{ t('doors_locked') }}</p>
    <p v-else-if="view.phase !== 'ended'">
      {{ t('join_code') }}
      <span class="figure ms-2 text-xl tracking-wider text-beam">{{ spacedCode(view.code) }}</span>
    </p>
    <button
      v-if="view.notes.length"
      type="button"
      class="rounded bg-lamp px-2.5 py-1 font-bold text-ink"
      @mousedown.prevent
      @click="emit('notes')"
    >
      {{ t('n_notes', { n: view.notes.length }) }}
    </button>
    <p>{{ t('here', { here: view.here }) }}</p>
    <UiButton look="dark" @mousedown.prevent @click="emit('screen')">{{ t('open_the_big_screen') }}</UiButton>
  </header>
</template>
