<script setup lang="ts">
import type { ItemOf } from '@/api/types'
import TextList from '@/questions/editing/TextList.vue'
import { t } from './words'

type Cloud = ItemOf<'word_cloud'>
const props = defineProps<{ item: Cloud }>()
const emit = defineEmits<{ update: [item: Cloud] }>()

const set = (accepts: string[]): void => emit('update', { ...props.item, accepts })
</script>

<template>
  <TextList
    v-if="item.scored"
    :texts="item.accepts ?? []"
    :label="t('right_word')"
    :fewest="0"
    :most="60"
    @update="set"
  />
  <p v-else class="pt-1 ps-1.5 text-slate">
    {{ t('students_send_a_few_words_those') }}
  </p>
</template>
