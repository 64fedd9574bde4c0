<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import AllOrNothingChip from '@/questions/editing/AllOrNothingChip.vue'

defineProps<{ item: ItemOf<'match'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'match'>] }>()
</script>

<template>
  <AllOrNothingChip
    v-if="item.scored"
    :value="item.all_or_nothing ?? false"
    @choose="emit('update', { ...item, all_or_nothing: $event })"
  />
</template>
