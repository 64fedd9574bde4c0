<script setup lang="ts">
/** Every accepted spelling, the one that is shown first. */
import type { ItemOf } from '@/api/types'
import TextList from '@/questions/editing/TextList.vue'
import { t } from './words'

type Text = ItemOf<'text_entry'>
const props = defineProps<{ item: Text }>()
const emit = defineEmits<{ update: [item: Text] }>()

const set = (accepts: string[]): void => emit('update', { ...props.item, accepts })
</script>

<template>
  <TextList
    v-if="item.scored"
    :texts="item.accepts ?? []"
    :label="t('accepted_answer')"
    :most="40"
    @update="set"
  />
  <p v-else class="ps-1.5 text-slate">{{ t('students_type_a_short_text') }}</p>
</template>
