<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'

type Point = ItemOf<'point'>
defineProps<{ item: Point }>()
const emit = defineEmits<{ update: [item: Point] }>()

const NAMES = [
  { value: 'hidden', label: 'by pointing only' },
  { value: 'offered', label: 'also by name' },
] as const
const MARGINS = [0, 0.01, 0.02, 0.04, 0.08].map((value) => ({
  value,
  label: value ? `${value * 100} % margin` : 'no margin',
}))
</script>

<template>
  <ChipMenu
    label="Answered"
    :choices="NAMES"
    :value="item.by_name ?? 'hidden'"
    @choose="emit('update', { ...item, by_name: $event as Point['by_name'] })"
  />
  <ChipMenu
    v-if="item.scored"
    label="Margin"
    :choices="MARGINS"
    :value="item.margin ?? 0.02"
    @choose="emit('update', { ...item, margin: $event })"
  />
</template>
