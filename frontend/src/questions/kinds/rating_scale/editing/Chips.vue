<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'
import { t } from './words'

defineProps<{ item: ItemOf<'rating_scale'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'rating_scale'>] }>()
const STEPS = [2, 3, 4, 5, 6, 7, 8, 9, 10].map((value) => ({ value, label: t('steps', { value }) }))
</script>

<template>
  <ChipMenu
    :label="t('steps_2')"
    :choices="STEPS"
    :value="item.steps ?? 5"
    @choose="emit('update', { ...item, steps: $event })"
  />
</template>
