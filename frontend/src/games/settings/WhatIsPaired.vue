<script setup lang="ts">
/** How many pairs a game of pairs has, and on how many boards. */
import { computed } from 'vue'
import type { GameChosen, Planned } from '@/api/types'
import { counted } from '@/composables/format'

defineOptions({ inheritAttrs: false })
defineModel<GameChosen>({ required: true })
const props = defineProps<{ plan: Planned | null; counts?: string }>()
const said = computed(() => {
  const { pairs, played } = props.plan ?? {}
  if (!pairs || !played) return ''
  const what = counted(pairs, 'pair')
  return played === 1 ? `${what} on one board.` : `${what} on ${played} boards.`
})
</script>

<template>
  <p class="py-2">{{ said }} {{ counts ?? 'What is tried first is the answer, and counts in reports.' }}</p>
</template>
