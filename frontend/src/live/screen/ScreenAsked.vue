<script setup lang="ts">
/** What a game says of the question that is on. */
import { computed, defineAsyncComponent } from 'vue'
import type { ScreenView } from '@/api/types'
import { viewsOf } from '@/games/registry'

const props = defineProps<{ view: ScreenView }>()
const shown = computed(() => {
  const game = props.view.board?.game
  const load = game && viewsOf(game).asked
  return load ? defineAsyncComponent(load) : null
})
</script>

<template>
  <component :is="shown" v-if="shown && view.board" :board="view.board" />
</template>
