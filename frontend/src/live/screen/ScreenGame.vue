<script setup lang="ts">
/** A game with a board, as the room sees it. */
import { computedAsync } from '@vueuse/core'
import { defineAsyncComponent, shallowRef, watch, type Component } from 'vue'
import type { ScreenView } from '@/api/types'
import type { BoardMoment } from '@/games/gameViews'
import { viewsOf } from '@/games/registry'
import { clockTime } from '@/composables/format'
import { t } from './words'

const props = defineProps<{ view: ScreenView; at: BoardMoment; seconds?: number | null }>()
const shown = shallowRef<Component | null>(null)
watch(
  () => props.view.board?.game,
  (game) => {
    const load = game && viewsOf(game).screen
    shown.value = load ? defineAsyncComponent(load) : null
  },
  { immediate: true },
)
const words = computedAsync(async () => {
  const game = props.view.board?.game
  return game ? (await viewsOf(game).rules())(props.view.game as never) : null
}, null)
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <p class="mb-[0.6vh] flex justify-between gap-[1em] text-[max(18px,0.7em)] text-soft">
      <span class="truncate">{{ view.title || t('untitled_set') }}</span>
      <span v-if="seconds !== null && seconds !== undefined" role="timer" class="tabular-nums">{{
        t('time_left', { time: clockTime(seconds) })
      }}</span>
    </p>
    <h1 class="mb-[1.5vh] text-[1.5em]">{{ at === 'after' ? t('thanks') : words?.name }}</h1>
    <component :is="shown" v-if="shown && view.board" :board="view.board" :at="at" :view="view" />
  </div>
</template>
