<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import AllOrNothingChip from '@/questions/shared/AllOrNothingChip.vue'
import ChipMenu from '@/ui/ChipMenu.vue'
import StrictnessChip from '@/questions/shared/StrictnessChip.vue'

type Gap = ItemOf<'gap_fill'>
defineProps<{ item: Gap }>()
const emit = defineEmits<{ update: [item: Gap] }>()

const WAYS = [
  { value: 'typed', label: 'Gaps are typed' },
  { value: 'chosen', label: 'Each gap has its choices' },
  { value: 'bank', label: 'One bank of words' },
] as const
</script>

<template>
  <ChipMenu
    label="Gaps"
    :choices="WAYS"
    :value="item.way ?? 'typed'"
    @choose="emit('update', { ...item, way: $event as Gap['way'] })"
  />
  <StrictnessChip
    v-if="item.scored && item.way === 'typed'"
    :strictness="item.strictness ?? {}"
    @update="emit('update', { ...item, strictness: $event })"
  />
  <AllOrNothingChip
    v-if="item.scored"
    :value="item.all_or_nothing ?? false"
    @choose="emit('update', { ...item, all_or_nothing: $event })"
  />
</template>
