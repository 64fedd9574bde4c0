<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import { t } from './words'

type Order = ItemOf<'order'>
defineProps<{ item: Order }>()
const emit = defineEmits<{ update: [item: Order] }>()

const MARKINGS = [
  { value: 'pairs', label: t('each_pair_in_the_right_order') },
  { value: 'exact', label: t('exactly_this_order') },
] as const
</script>

<template>
  <ChipMenu
    v-if="item.scored"
    :label="t('marking')"
    :choices="MARKINGS"
    :value="item.marking ?? 'pairs'"
    @choose="emit('update', { ...item, marking: $event as Order['marking'] })"
  />
</template>
