<script setup lang="ts">
/** What the game that is played has for the desk. */
import { computed, defineAsyncComponent } from 'vue'
import type { DeskView } from '@/api/types'
import { deskOf } from '@/games/desks'
import type { Desk } from './useDesk'

const props = defineProps<{ view: DeskView; desk: Desk }>()
const shown = computed(() => {
  const game = props.view.board?.game
  const load = game && deskOf(game).desk
  return load ? defineAsyncComponent(load) : null
})
</script>

<template>
  <component :is="shown" v-if="shown && view.board" :board="view.board" :view="view" :desk="desk" />
</template>
