<script setup lang="ts">
/** Every accepted spelling, the one that is shown first. */
import type { ItemOf } from '@/api/types'
import TextList from '@/questions/shared/TextList.vue'

type Text = ItemOf<'text_entry'>
const props = defineProps<{ item: Text }>()
const emit = defineEmits<{ update: [item: Text] }>()

const set = (accepts: string[]): void => emit('update', { ...props.item, accepts })
</script>

<template>
  <TextList v-if="item.scored" :texts="item.accepts ?? []" label="Accepted answer" :most="40" @update="set" />
  <p v-else class="pl-1.5 text-slate">Students type a short text.</p>
</template>
