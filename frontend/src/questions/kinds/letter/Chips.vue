<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'

defineProps<{ item: ItemOf<'letter'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'letter'>] }>()
const COUNTS = [2, 3, 4, 5].map((value) => ({ value, label: `A to ${'ABCDE'[value - 1]}` }))
</script>

<template>
  <ChipMenu
    label="Letters"
    :choices="COUNTS"
    :value="item.letters ?? 4"
    @choose="emit('update', { ...item, letters: $event })"
  />
</template>
