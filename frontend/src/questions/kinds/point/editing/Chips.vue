<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import { t } from './words'

type Point = ItemOf<'point'>
defineProps<{ item: Point }>()
const emit = defineEmits<{ update: [item: Point] }>()

const NAMES = [
  { value: 'hidden', label: t('by_pointing_only') },
  { value: 'offered', label: t('also_by_name') },
] as const
const MARGINS = [0, 0.01, 0.02, 0.04, 0.08].map((value) => ({
  value,
  label: value ? t('margin', { value: value * 100 }) : t('no_margin'),
}))
</script>

<template>
  <ChipMenu
    :label="t('answered')"
    :choices="NAMES"
    :value="item.by_name ?? 'hidden'"
    @choose="emit('update', { ...item, by_name: $event as Point['by_name'] })"
  />
  <ChipMenu
    v-if="item.scored"
    :label="t('margin_2')"
    :choices="MARGINS"
    :value="item.margin ?? 0.02"
    @choose="emit('update', { ...item, margin: $event })"
  />
</template>
