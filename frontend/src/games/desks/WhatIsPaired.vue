<script setup lang="ts">
/** How many pairs a game of pairs has, and on how many boards. */
import { computed } from 'vue'
import type { GameChosen, Planned } from '@/api/types'
import { counted } from '@/composables/format'

defineOptions({ inheritAttrs: false })
const game = defineModel<GameChosen & { shared?: boolean }>({ required: true })
const props = defineProps<{ plan: Planned | null; counts?: string; alone?: boolean }>()
const said = computed(() => {
  const { pairs, played } = props.plan ?? {}
  if (!pairs || !played) return ''
  const what = counted(pairs, 'pair')
  return played === 1 ? `${what} on one board.` : `${what} on ${played} boards.`
})
</script>

<template>
  <p class="py-2">{{ said }} {{ counts ?? 'What is tried first is the answer, and counts in reports.' }}</p>
  <label v-if="!alone" class="flex min-h-8 items-center gap-2">
    <input v-model="game.shared" type="checkbox" class="size-5 accent-tide" />
    <span>On shared devices, as on one large board: whoever joins names all who play at it</span>
  </label>
</template>
