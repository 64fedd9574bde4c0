<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'

defineProps<{ item: ItemOf<'page'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'page'>] }>()
const WAYS = [
  { value: false, label: 'Without how to join' },
  { value: true, label: 'With how to join' },
]
</script>

<template>
  <ChipMenu
    label="How to join, on the big screen"
    :choices="WAYS"
    :value="item.joining ?? false"
    @choose="emit('update', { ...item, joining: $event })"
  />
</template>
