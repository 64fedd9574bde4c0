<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'

type Order = ItemOf<'order'>
defineProps<{ item: Order }>()
const emit = defineEmits<{ update: [item: Order] }>()

const MARKINGS = [
  { value: 'pairs', label: 'each pair in the right order counts' },
  { value: 'exact', label: 'exactly this order' },
] as const
</script>

<template>
  <ChipMenu
    v-if="item.scored"
    label="Marking"
    :choices="MARKINGS"
    :value="item.marking ?? 'pairs'"
    @choose="emit('update', { ...item, marking: $event as Order['marking'] })"
  />
</template>
