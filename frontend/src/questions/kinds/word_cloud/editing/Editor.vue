<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import TextList from '@/questions/shared/TextList.vue'

type Cloud = ItemOf<'word_cloud'>
const props = defineProps<{ item: Cloud }>()
const emit = defineEmits<{ update: [item: Cloud] }>()

const set = (accepts: string[]): void => emit('update', { ...props.item, accepts })
</script>

<template>
  <TextList
    v-if="item.scored"
    :texts="item.accepts ?? []"
    label="Right word"
    :fewest="0"
    :most="60"
    @update="set"
  />
  <p v-else class="pt-1 pl-1.5 text-slate">
    Students send a few words. Those that differ in capitals, accents or a plural ending are counted as one.
  </p>
</template>
