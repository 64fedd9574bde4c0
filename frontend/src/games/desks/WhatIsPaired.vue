<script setup lang="ts">
/** How many pairs a game of pairs has, and on how many boards. */
import { computed } from 'vue'
import type { GameChosen, Planned } from '@/api/types'
import { t } from './words'
import { t as common } from '@/ui/words'

defineOptions({ inheritAttrs: false })
const game = defineModel<GameChosen & { shared?: boolean }>({ required: true })
const props = defineProps<{ plan: Planned | null; counts?: string; alone?: boolean }>()
const said = computed(() => {
  const { pairs, played } = props.plan ?? {}
  if (!pairs || !played) return ''
  const what = common('n_pairs', { n: pairs })
  return played === 1 ? t('on_one_board', { what }) : t('on_boards', { what, played })
})
</script>

<template>
  <p class="py-2">{{ said }} {{ counts ?? t('what_is_tried_first') }}</p>
  <label v-if="!alone" class="flex min-h-8 items-center gap-2">
    <input v-model="game.shared" type="checkbox" class="size-5 accent-tide" />
    <span>{{ t('on_shared_devices') }}</span>
  </label>
</template>
