<script setup lang="ts">
/** What counts as right, and in which units. */
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import { t } from './words'

type Numeric = ItemOf<'numeric_entry'>
defineProps<{ item: Numeric }>()
const emit = defineEmits<{ update: [item: Numeric] }>()

const UNITS = [
  { value: false, label: t('only_in_this_unit') },
  { value: true, label: t('other_units_are_turned_into_it') },
] as const
const WAYS = [
  { value: 'exact', label: t('exactly_this_number') },
  { value: 'absolute', label: t('a_little_more_or_less') },
  { value: 'percent', label: t('some_percent_more_or_less') },
  { value: 'range', label: t('a_range') },
] as const
</script>

<template>
  <ChipMenu
    v-if="item.scored"
    :label="t('accepted')"
    :choices="WAYS"
    :value="item.accepts ?? 'exact'"
    @choose="emit('update', { ...item, accepts: $event as Numeric['accepts'] })"
  />
  <ChipMenu
    v-if="item.unit"
    :label="t('units')"
    :choices="UNITS"
    :value="item.converts ?? false"
    :text="item.converts ? t('turned_into', { unit: item.unit }) : t('only_in', { unit: item.unit })"
    @choose="emit('update', { ...item, converts: $event })"
  />
</template>
