<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import RichField from '@/questions/editing/RichField.vue'
import { t } from './words'

const props = defineProps<{ item: ItemOf<'page'> }>()
const emit = defineEmits<{ update: [item: ItemOf<'page'>] }>()

const write = (body: string): void => emit('update', { ...props.item, body })
</script>

<template>
  <RichField
    :model-value="item.body ?? ''"
    data-line
    :label="t('text_of_the_page')"
    :placeholder="t('text_of_the_page_a_line')"
    block
    @update:model-value="write"
  />
</template>
