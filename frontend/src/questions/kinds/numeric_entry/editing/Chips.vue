<script setup lang="ts">
/** What counts as right, and in which units. */
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'

type Numeric = ItemOf<'numeric_entry'>
defineProps<{ item: Numeric }>()
const emit = defineEmits<{ update: [item: Numeric] }>()

const UNITS = [
  { value: false, label: 'Only in this unit' },
  { value: true, label: 'Other units are turned into it' },
] as const
const WAYS = [
  { value: 'exact', label: 'Exactly this number' },
  { value: 'absolute', label: 'A little more or less' },
  { value: 'percent', label: 'Some percent more or less' },
  { value: 'range', label: 'A range' },
] as const
</script>

<template>
  <ChipMenu
    v-if="item.scored"
    label="Accepted"
    :choices="WAYS"
    :value="item.accepts ?? 'exact'"
    @choose="emit('update', { ...item, accepts: $event as Numeric['accepts'] })"
  />
  <ChipMenu
    v-if="item.unit"
    label="Units"
    :choices="UNITS"
    :value="item.converts ?? false"
    :text="item.converts ? `turned into ${item.unit}` : `only in ${item.unit}`"
    @choose="emit('update', { ...item, converts: $event })"
  />
</template>
