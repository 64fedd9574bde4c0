<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import ChipMenu from '@/ui/ChipMenu.vue'

defineProps<{ item: ItemOf<'word_cloud'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'word_cloud'>] }>()
const COUNTS = [1, 2, 3, 4, 5].map((value) => ({
  value,
  label: value === 1 ? 'one word' : `up to ${value} words`,
}))
</script>

<template>
  <ChipMenu
    label="Words"
    :choices="COUNTS"
    :value="item.most ?? 3"
    @choose="emit('update', { ...item, most: $event })"
  />
</template>
