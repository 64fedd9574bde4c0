<script setup lang="ts">
/** The text with its gaps in square brackets. */
import type { ItemOf } from '@/api/types'
import RichField from '@/questions/editing/RichField.vue'
import TextList from '@/questions/editing/TextList.vue'
import { t } from './words'

type Gap = ItemOf<'gap_fill'>
const props = defineProps<{ item: Gap }>()
const emit = defineEmits<{ update: [item: Gap] }>()

const set = (change: Partial<Gap>): void => emit('update', { ...props.item, ...change })
const HINTS = {
  typed: t('what_belongs_into_a_gap_stands'),
  chosen: t('in_brackets_the_right_choice_first'),
  bank: t('what_belongs_into_a_gap_stands_2'),
}
</script>

<template>
  <div>
    <RichField
      :model-value="item.text ?? ''"
      data-line
      :label="t('text_with_gaps')"
      :placeholder="t('the_tide_rises_for_about_six')"
      @update:model-value="set({ text: $event })"
    />
    <p class="ps-1.5 text-[15px] text-slate">{{ HINTS[item.way ?? 'typed'] }}</p>
    <TextList
      v-if="item.way === 'bank'"
      class="mt-1"
      :texts="item.extra ?? []"
      :label="t('word_that_belongs_nowhere')"
      :fewest="0"
      :most="30"
      @update="set({ extra: $event })"
    />
  </div>
</template>
