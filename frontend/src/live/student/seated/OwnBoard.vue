<script setup lang="ts">
/** What the game that is played shows of one's own. */
import { defineAsyncComponent, shallowRef, watch, type Component } from 'vue'
import type { Mine, PublicItem } from '@/api/types'
import type { BoardMoment } from '@/games/gameViews'
import { viewsOf } from '@/games/registry'
import type { SeatLink } from './useSeat'

const props = defineProps<{
  mine: Mine | null
  at: BoardMoment
  own?: SeatLink['own']
  item?: string
  /** The question, where it is answered here; and whether it takes nothing just now. */
  question?: PublicItem
  disabled?: boolean
  speak?: SeatLink['speak']
}>()
const emit = defineEmits<{ go: [item: string] }>()
const shown = shallowRef<Component | null>(null)
watch(
  () => props.mine?.board?.game,
  (game) => {
    const load = game && viewsOf(game).own
    shown.value = load ? defineAsyncComponent(load) : null
  },
  { immediate: true },
)
</script>

<template>
  <component
    :is="shown"
    v-if="shown && mine?.board"
    :board="mine.board"
    :at="at"
    :item="item"
    :question="question"
    :disabled="disabled || (question && !!own?.going.value)"
    :speak="speak"
    :names="mine.name.split(', ')"
    @move="own?.move($event)"
    @go="emit('go', $event)"
  />
</template>
