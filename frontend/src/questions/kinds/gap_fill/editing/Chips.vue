<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import AllOrNothingChip from '@/questions/editing/AllOrNothingChip.vue'
import ChipMenu from '@/ui/ChipMenu.vue'
import StrictnessChip from '@/questions/editing/StrictnessChip.vue'
import { t } from './words'

type Gap = ItemOf<'gap_fill'>
defineProps<{ item: Gap }>()
const emit = defineEmits<{ update: [item: Gap] }>()

const WAYS = [
  { value: 'typed', label: t('gaps_are_typed') },
  { value: 'chosen', label: t('each_gap_has_its_choices') },
  { value: 'bank', label: t('one_bank_of_words') },
] as const
</script>

<template>
  <ChipMenu
    :label="t('gaps')"
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
