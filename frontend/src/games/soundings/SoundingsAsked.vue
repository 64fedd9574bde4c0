<script setup lang="ts">
/** How many fathoms the question that is on counts, and which team comes first. */
import { computed } from 'vue'
import type { BoardOf } from '@/api/types'
import TeamFlag from '../shared/teams/TeamFlag.vue'
import { teamName } from '../shared/teams/teams'
import { t } from './words'

const props = defineProps<{ board: BoardOf<'soundings'> }>()
const on = computed(() => props.board.channels.flatMap((one) => one.soundings).find((one) => one.on))
const channel = computed(() =>
  props.board.channels.find((one) => one.soundings.some((sounding) => sounding.on)),
)
const words = computed(() => {
  if (props.board.first) return t('comes_first', { name: teamName(props.board.first) })
  return props.board.signals ? t('who_signals') : ''
})
</script>

<template>
  <p v-if="on" class="mb-[0.45em] flex flex-wrap items-center gap-x-[0.6em]" role="status">
    <span class="text-soft">{{
      t('sounding', { channel: channel?.name || t('open_water'), fathoms: t('fathoms', { n: on.fathoms }) })
    }}</span>
    <TeamFlag v-if="board.first" :number="board.first" class="size-[1.1em]" />
    <b v-if="words">{{ words }}</b>
  </p>
</template>
