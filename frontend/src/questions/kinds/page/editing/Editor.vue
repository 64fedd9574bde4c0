<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import RichField from '@/questions/shared/RichField.vue'

const props = defineProps<{ item: ItemOf<'page'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'page'>] }>()

const write = (body: string): void => emit('update', { ...props.item, body })
</script>

<template>
  <RichField
    :model-value="item.body ?? ''"
    data-line
    label="Text of the page"
    placeholder="Text of the page. A line that begins with - becomes a list."
    block
    @update:model-value="write"
  />
</template>
